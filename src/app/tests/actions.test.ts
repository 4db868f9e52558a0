import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import type { Connection } from '@/store';
import { readyBench } from '@/testing/bench';

// Outside of a request there is nothing to show anew, and nowhere to go on to.
jest.unstable_mockModule('next/cache', () => ({ revalidatePath: () => undefined }));
jest.unstable_mockModule('next/navigation', () => ({
  redirect: (address: string) => {
    throw new Error(`goes on to ${address}`);
  },
}));

const MODULES = {
  today: () => import('../actions'),
  caliper: () => import('../_components/add-instrument'),
  gauges: () => import('../gauges/actions'),
  house: () => import('../house/actions'),
  printers: () => import('../printers/actions'),
  shelf: () => import('../shelf/actions'),
  need: () => import('../jobs/[jobId]/need/actions'),
  sheet: () => import('../jobs/[jobId]/need/sheet/actions'),
  resin: () => import('../jobs/[jobId]/resin/actions'),
  fit: () => import('../jobs/[jobId]/fit/actions'),
  check: () => import('../jobs/[jobId]/check/actions'),
  measure: () => import('../jobs/[jobId]/measure/actions'),
  correct: () => import('../jobs/[jobId]/correct/actions'),
  story: () => import('../jobs/[jobId]/story/actions'),
} as const;

type Action = (...given: unknown[]) => Promise<unknown>;

/** Actions that need nothing from the page: whatever is sent along changes nothing of what they do. */
const TAKES_NOTHING = new Set(['takePracticeShelf']);

let db: Connection;
beforeEach(() => {
  ({ db } = readyBench());
  (globalThis as { mellowDb?: Connection }).mellowDb = db;
});

/** Every row of every table, as one hash. */
function contents(): string {
  const tables = db.$client
    .prepare("select name from sqlite_master where type = 'table' order by name")
    .pluck()
    .all() as string[];
  const hash = createHash('sha256');
  for (const table of tables)
    hash.update(table).update(JSON.stringify(db.$client.prepare(`select * from "${table}"`).all()));
  return hash.digest('hex');
}

/** What a page that was tampered with sends: no ids, blank forms, numbers that are none. */
const NONSENSE: readonly (readonly unknown[])[] = [
  [0, -1, 0.5, new FormData()],
  ['1; drop table jobs', NaN, {}, new FormData()],
  [undefined, null, [], new FormData()],
];

describe.each(Object.entries(MODULES))('actions of %s', (_name, load) => {
  test('nonsense from a page is refused and changes no row', async () => {
    const actions = Object.entries(await load()).filter(
      (entry): entry is [string, Action] => typeof entry[1] === 'function' && !TAKES_NOTHING.has(entry[0]),
    );
    expect(actions.length).toBeGreaterThan(0);
    const before = contents();
    for (const [name, action] of actions) {
      for (const given of NONSENSE) {
        // The form stands last, wherever the action takes it.
        const sent = action.length === 0 ? [] : [...given.slice(0, action.length - 1), given.at(-1)];
        const answer = await action(...sent).catch((error: Error) => error.message);
        const taken =
          typeof answer === 'object' && answer !== null && 'ok' in answer ? answer.ok : answer === 'kept';
        expect({ name, taken }).toEqual({ name, taken: false });
        expect({ name, contents: contents() }).toEqual({ name, contents: before });
      }
    }
  });
});

test('a form with several faults is answered with all of them, by field', async () => {
  const { addInstrument } = await MODULES.caliper();
  const data = new FormData();
  data.set('name', '');
  data.set('mpeMm', 'small');
  data.set('resolutionMm', '0.01 kg');
  expect(await addInstrument({ ok: true }, data)).toMatchObject({
    ok: false,
    faults: {
      name: [{ code: 'needed' }],
      mpeMm: [{ code: 'notANumber', text: 'small' }],
      resolutionMm: [{ code: 'unknownUnit', unit: 'kg', quantity: 'length' }],
    },
  });
});
