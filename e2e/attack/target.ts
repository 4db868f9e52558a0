import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import Database from 'better-sqlite3';
import { databaseFile } from '@/store';

/** The server under attack: one of our own on the loopback address, and its folder. */
export interface Target {
  readonly address: string;
  readonly folder: string;
}

/** What an attack tried and what went through that should not have. */
export interface Report {
  readonly attack: string;
  readonly tries: number;
  readonly failures: readonly string[];
}

/** Collects tries of one attack. */
export class Tally {
  private tries = 0;
  private readonly failures: string[] = [];

  constructor(private readonly attack: string) {}

  check(holds: boolean, what: string): void {
    this.tries++;
    if (!holds) this.failures.push(what.slice(0, 300));
  }

  report(): Report {
    return { attack: this.attack, tries: this.tries, failures: this.failures };
  }
}

/** A server action as the build lists it, with a page that it is sent to. */
export interface Action {
  readonly id: string;
  readonly name: string;
  readonly page: string;
}

/** Every server action of the build. */
export function listActions(): Action[] {
  const manifest = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
    node: Record<string, { exportedName: string; workers: Record<string, unknown> }>;
  };
  return Object.entries(manifest.node).map(([id, { exportedName, workers }]) => ({
    id,
    name: exportedName,
    page: Object.keys(workers)[0]
      .replace(/^app/, '')
      .replace(/\/page$/, '')
      .replace(/\[\w+\]/g, '1')
      .replace(/^$/, '/'),
  }));
}

const SHELF_OF_ACTIONS = new Map<string, Action>();

export function actionNamed(name: string): Action {
  if (SHELF_OF_ACTIONS.size === 0)
    for (const action of listActions()) SHELF_OF_ACTIONS.set(action.name, action);
  const action = SHELF_OF_ACTIONS.get(name);
  if (action === undefined) throw new RangeError(`There is no action ${name}`);
  return action;
}

/** Sends an action as the page does: its arguments as JSON, a form among them by its number. */
export function act(
  { address }: Target,
  { id, page }: Action,
  args: readonly unknown[],
  form?: Readonly<Record<string, string>>,
): Promise<Response> {
  const body = new FormData();
  for (const [name, value] of Object.entries(form ?? {})) body.append(`_1_${name}`, value);
  body.append('0', JSON.stringify(form === undefined ? args : [...args, { ok: true }, '$K1']));
  return fetch(`${address}${page}`, {
    method: 'POST',
    headers: { 'Next-Action': id, Origin: address, Accept: 'text/x-component' },
    body,
  });
}

/** A request with any host and headers at all; gives its status. */
export function ask(
  { address }: Target,
  path: string,
  more: { readonly method?: string; readonly headers: Record<string, string>; readonly body?: string },
): Promise<number> {
  const { hostname, port } = new URL(address);
  return new Promise((resolve, reject) => {
    const sent = request(
      { hostname, port, path, method: more.method ?? 'GET', headers: more.headers },
      (answer) => {
        answer.resume();
        answer.on('end', () => resolve(answer.statusCode ?? 0));
      },
    );
    sent.on('error', reject);
    sent.end(more.body);
  });
}

/** Rows of a table, by the database itself. */
export function rows<Row = Record<string, unknown>>({ folder }: Target, statement: string): Row[] {
  const db = new Database(databaseFile(folder), { readonly: true });
  const all = db.prepare(statement).all() as Row[];
  db.close();
  return all;
}

/** Every row of every table, as one text; the table of answered taps is left out. */
export function everything(target: Target): string {
  const tables = rows<{ name: string }>(
    target,
    "select name from sqlite_master where type = 'table' and name not in ('taps', 'sqlite_sequence') order by name",
  );
  return JSON.stringify(tables.map(({ name }) => rows(target, `select * from "${name}"`)));
}
