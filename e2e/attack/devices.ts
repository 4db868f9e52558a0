import { request } from 'node:http';
import { AT_MACHINE_WORDS } from '@/subjects/workshop/settings/shared';
import { ROUTES } from './attacks';
import {
  act,
  type Action,
  actionNamed,
  everything,
  listActions,
  type Report,
  Tally,
  type Target,
} from './target';

/** An answer with its first bytes as text. */
interface Answer {
  readonly status: number;
  readonly text: string;
  readonly cookie?: string;
}

interface Sent {
  readonly method?: string;
  readonly headers?: Record<string, string>;
  readonly body?: string;
}

/** Longer answers are read to their end, but not stored. */
const MOST_TEXT = 100_000;

/** A request whose target is sent as it is written, as no browser would. */
function send(address: string, target: string, { method = 'GET', headers, body }: Sent): Promise<Answer> {
  const { hostname, port } = new URL(address);
  return new Promise((resolve, reject) => {
    const options = { hostname, port, path: target, method, headers, localAddress: '127.0.0.1' };
    const sent = request(options, (answer) => {
      let text = '';
      answer.on('data', (chunk) => (text = text.length < MOST_TEXT ? text + String(chunk) : text));
      answer.on('end', () =>
        resolve({
          status: answer.statusCode ?? 0,
          text,
          cookie: answer.headers['set-cookie']?.[0].split(';')[0],
        }),
      );
    });
    sent.on('error', reject);
    sent.end(body);
  });
}

/** A phone that was paired as a person pairs it: a code created on the server's computer, typed on the phone. */
export interface Device {
  readonly address: string;
  readonly cookie: string;
}

export async function pairDevice(target: Target, shared: string): Promise<Device> {
  const made = await (await act(target, actionNamed('makeCode'), [])).text();
  const code = /"code":"([A-Z0-9]{8})"/.exec(made)?.[1];
  if (code === undefined) throw new Error(`No code was made: ${made.slice(0, 300)}`);
  const { cookie } = await send(shared, '/pair', {
    method: 'POST',
    headers: { 'Content-Type': 'application/x-www-form-urlencoded' },
    body: new URLSearchParams({ code, name: 'Phone' }).toString(),
  });
  if (cookie === undefined) throw new Error('The phone was not paired.');
  return { address: shared, cookie };
}

const ask = (device: Device, target: string, { headers, ...sent }: Sent = {}) =>
  send(device.address, target, { ...sent, headers: { Cookie: device.cookie, ...headers } });

/** Every way to write a path that a server might read as this one. */
function spellingsOf(path: string): string[] {
  const [first, ...rest] = path.split('/').slice(1);
  return [
    path,
    `${path}/`,
    `${path}?x=1`,
    `${path}#`,
    `/x/..${path}`,
    `/.${path}`,
    `/x/%2e%2e${path}`,
    `/x/.%2E${path}`,
    `/${path}`,
    `/${first}/.${rest.length === 0 ? '' : `/${rest.join('/')}`}`,
    `/x\\..${path.replaceAll('/', '\\')}`,
    `http://127.0.0.1${path}`,
    `${path.slice(0, -1)}%${path.charCodeAt(path.length - 1).toString(16)}`,
    path.toUpperCase(),
    `/_next/image?url=${encodeURIComponent(path)}&w=640&q=75`,
  ];
}

/** Routes reserved for the server's own computer. */
const AT_MACHINE_ROUTES = [
  ['GET', '/api/backup'],
  ['HEAD', '/api/backup'],
  ['POST', '/api/backup'],
  ['POST', '/api/originals'],
] as const;

/** Actions reserved for the server's own computer; the attack finds every one, and no other. */
const AT_MACHINE_ACTIONS = [
  'dropLine',
  'makeCode',
  'revokeDevice',
  'saveCheckRules',
  'saveClasses',
  'saveHouse',
  'saveLine',
  'saveMaintenanceRules',
  'savePractices',
  'savePrior',
  'saveRunRules',
  'saveShares',
];

const actionsAtMachine = () => AT_MACHINE_ACTIONS.map((name) => `action ${name}`);

/** Pages that an action can be sent to, whichever page it belongs to. */
const CARRIERS = [
  '/',
  '/house',
  '/house/causes',
  '/printers',
  '/printers/1',
  '/printers/1/light',
  '/printers/machine/1',
  '/printers/machine/1/log',
  '/shelf',
  '/shelf/1',
  '/shelf/blend',
  '/gauges',
  '/strips',
  '/runs/1',
  '/rescue',
  ...['need', 'need/sheet', 'resin', 'fit', 'check', 'run', 'measure', 'correct', 'story'].map(
    (step) => `/jobs/5/${step}`,
  ),
];

const actionHeaders = ({ id }: Action) => ({
  'Next-Action': id,
  Accept: 'text/x-component',
  'Content-Type': 'text/plain;charset=UTF-8',
});

/** Who may call what, as found by trying. */
export interface Caller {
  readonly what: string;
  readonly stranger: boolean;
  readonly device: boolean;
  readonly machine: boolean;
}

const isRefused = ({ status, text }: Answer) =>
  [400, 403, 404, 405].includes(status) || text.includes(AT_MACHINE_WORDS);

/** Calls each action and each route as a stranger, as a paired device and on the server's computer. */
export async function listCallers(target: Target, device: Device): Promise<Caller[]> {
  const callers: Caller[] = [];
  const own = { Origin: target.address };
  for (const action of listActions()) {
    const headers = actionHeaders(action);
    const sent = { method: 'POST', headers, body: '[]' };
    const stranger = await send(target.address, action.page, {
      ...sent,
      headers: { ...headers, Origin: 'http://elsewhere.example' },
    });
    const byDevice = await ask(device, action.page, {
      ...sent,
      headers: { ...headers, Origin: device.address },
    });
    const atMachine = await send(target.address, action.page, { ...sent, headers: { ...headers, ...own } });
    callers.push({
      what: `action ${action.name}`,
      stranger: !isRefused(stranger),
      device: !isRefused(byDevice),
      machine: !isRefused(atMachine),
    });
  }
  for (const [route, methods] of ROUTES)
    for (const method of methods) {
      const sent = { method, body: method === 'POST' ? '' : undefined };
      const may = async (address: string, headers: Record<string, string>) =>
        (await send(address, route, { ...sent, headers })).status !== 403;
      callers.push({
        what: `${method} ${route.split('?')[0]}`,
        stranger: await may(target.address, { Origin: 'http://elsewhere.example' }),
        device: await may(device.address, { Cookie: device.cookie }),
        machine: await may(target.address, {}),
      });
    }
  return callers.sort((a, b) => (a.what < b.what ? -1 : 1));
}

/** Saying nothing of where it comes from, its own address, and words that only this program may say. */
const originsOf = (device: Device): readonly Record<string, string>[] => [
  {},
  { Origin: device.address },
  { 'x-mellow-door': 'machine', 'x-action-forwarded': '1' },
];

/** Each reserved action, sent to each page in each spelling, from each origin. */
function asksOf(device: Device, isShort: boolean) {
  const actions = listActions().filter(({ name }) => AT_MACHINE_ACTIONS.includes(name));
  const carriers = isShort ? CARRIERS.filter((_, i) => i % 6 === 0) : CARRIERS;
  const written = (page: string) => (isShort ? [page, `/x/..${page}`] : spellingsOf(page).slice(0, 6));
  return actions.flatMap((action) =>
    carriers
      .flatMap(written)
      .flatMap((spelling) => originsOf(device).map((from) => ({ action, spelling, from }))),
  );
}

/** What a paired device may not do, asked in every spelling and from every page, with and without saying where it comes from. */
export async function devices(
  target: Target,
  { isShort, shared }: { readonly isShort: boolean; readonly shared: string },
): Promise<Report> {
  const tally = new Tally('a paired device at what is done at the machine');
  const device = await pairDevice(target, shared);
  const other = await pairDevice(target, shared);
  const before = everything(target);
  for (const [method, path] of AT_MACHINE_ROUTES)
    for (const spelling of spellingsOf(path)) {
      const answer = await ask(device, spelling, { method, body: method === 'POST' ? '{}' : undefined });
      const holds = method === 'HEAD' ? answer.text === '' : isRefused(answer) || answer.status === 308;
      tally.check(holds, `${method} ${spelling}: ${answer.status} ${answer.text.slice(0, 120)}`);
    }
  for (const { action, spelling, from } of asksOf(device, isShort)) {
    const headers = { ...actionHeaders(action), ...from };
    const answer = await ask(device, spelling, { method: 'POST', headers, body: '[]' });
    const went = `${action.name} by ${spelling} ${JSON.stringify(from)}: ${answer.status} ${answer.text.slice(0, 120)}`;
    // When the request is sent on to another page, the text of the answer is lost; the check below shows that nothing
    // was done.
    tally.check(!/"code":"[A-Z0-9]{8}"/.test(answer.text) && answer.status < 500, went);
  }
  const after = everything(target);
  const at = [...before].findIndex((sign, i) => sign !== after[i]);
  const around = after.slice(Math.max(0, at - 80), at + 120);
  tally.check(after === before, `something was changed: ${around}`);
  for (const callers of [await listCallers(target, device)]) {
    const found = callers.filter(({ device: may }) => !may).map(({ what }) => what);
    const wanted = ['GET /api/backup', 'POST /api/backup', 'POST /api/originals', ...actionsAtMachine()];
    tally.check(found.join() === wanted.join(), `done at the machine alone: ${found.join()}`);
    for (const { what, stranger, machine } of callers) {
      tally.check(!stranger, `${what} by a stranger`);
      tally.check(machine, `${what} is refused at the machine`);
    }
  }
  for (const each of [device, other])
    tally.check((await ask(each, '/')).status === 200, 'a device was ended by another');
  return tally.report();
}
