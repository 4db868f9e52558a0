import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import { ok } from '@/core/kit';
import type { Connection } from '@/store';
import { readyBench } from '@/testing/bench';

// Outside of a request there is nothing to refresh and no page to go to.
jest.unstable_mockModule('next/cache', () => ({ revalidatePath: () => undefined }));
jest.unstable_mockModule('next/navigation', () => ({
  redirect: (address: string) => {
    throw new Error(`goes on to ${address}`);
  },
}));

/** Which door the page says that it came in by. */
let door = 'machine';
jest.unstable_mockModule('next/headers', () => ({
  headers: async () => new Headers({ 'x-mellow-door': door }),
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
  run: () => import('../jobs/[jobId]/run/actions'),
  piece: () => import('../_components/check-caliper'),
  causes: () => import('../house/causes/actions'),
  light: () => import('../printers/[profileId]/light/actions'),
  log: () => import('../printers/machine/[printerId]/log/actions'),
  plate: () => import('../runs/actions'),
  failures: () => import('../runs/log-actions'),
  stock: () => import('../shelf/stock-actions'),
} as const;

type Action = (...given: unknown[]) => Promise<unknown>;

/** Actions that need nothing from the page: whatever is sent along changes nothing of what they do. */
const TAKES_NOTHING = new Set(['takePracticeShelf']);

let db: Connection;
beforeEach(() => {
  ({ db } = readyBench());
  door = 'machine';
  Object.assign(globalThis, {
    // The workshop of this process, as src/store opens it: actions work on it.
    mellowBench: { root: '', opened: ok({ root: '', folder: '', db }) },
    mellowDoor: { isMachineMark: (mark: string | null) => mark === 'machine' },
  });
});

/** Every row of every table but which taps were answered, as one hash. */
function contents(): string {
  const tables = db.$client
    .prepare(
      "select name from sqlite_master where type = 'table' and name not in ('taps', 'sqlite_sequence') order by name",
    )
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

/** What a tap is known by. */
const TAP_KEY = '00000000-nonsense';

/** The same with the form last, wherever the action takes it; one that is wrapped does not say where, so everywhere. */
function waysToSend(action: Action, given: readonly unknown[]): unknown[][] {
  const withForm = (count: number) => [...given.slice(0, count), given.at(-1)];
  if (action.length > 1) return [withForm(action.length - 1)];
  return [[], ...[0, 1, 2, 3].flatMap((count) => [withForm(count), [TAP_KEY, ...withForm(count)]])];
}

describe.each(Object.entries(MODULES))('actions of %s', (_name, load) => {
  test('nonsense from a page is refused and changes no row', async () => {
    const actions = Object.entries(await load()).filter(
      (entry): entry is [string, Action] => typeof entry[1] === 'function' && !TAKES_NOTHING.has(entry[0]),
    );
    expect(actions.length).toBeGreaterThan(0);
    const before = contents();
    for (const [name, action] of actions) {
      for (const sent of NONSENSE.flatMap((given) => waysToSend(action, given))) {
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

describe('what is done at the machine itself', () => {
  test('settings are kept at the machine, and refused to a paired device', async () => {
    const { saveShares } = await MODULES.house();
    const { dropLine } = await MODULES.causes();
    const before = contents();
    for (door of ['device x', '', 'machine of somebody else']) {
      expect(await saveShares({ ok: true }, new FormData())).toMatchObject({
        ok: false,
        message: expect.stringContaining('on the computer that runs the server'),
      });
      expect(await dropLine(TAP_KEY, { evidence: 'samePlaceOnPlate' })).toContain(
        'on the computer that runs the server',
      );
    }
    expect(contents()).toBe(before);
    door = 'machine';
    expect(await saveShares({ ok: true }, new FormData())).toMatchObject({ faults: expect.anything() });
  });

  test('without a server that marks its requests nobody is at the machine', async () => {
    const { makeCode } = await import('../house/share-actions');
    Object.assign(globalThis, { mellowDoor: undefined });
    expect(await makeCode()).toContain('on the computer that runs the server');
  });
});

describe('a tap that is sent again', () => {
  const count = (table: string) =>
    db.$client.prepare(`select count(*) from ${table}`).pluck().get() as number;

  test('copies a job once, and goes on to the same copy', async () => {
    const { copyThisJob } = await MODULES.need();
    const before = count('jobs');
    const sent = () => copyThisJob(TAP_KEY, 1).catch((error: Error) => error.message);
    const first = await sent();
    expect(first).toMatch(/^goes on to \/jobs\/\d+\/need$/);
    expect([first, await sent(), await sent()]).toEqual([first, first, first]);
    expect(count('jobs')).toBe(before + 1);
  });

  test('and a form too; another key is another form', async () => {
    const { startJob } = await MODULES.today();
    const send = (tapKey: string) => {
      const data = new FormData();
      data.set('name', 'A rack');
      data.set('tapKey', tapKey);
      return startJob({ ok: true }, data).catch((error: Error) => error.message);
    };
    const before = count('jobs');
    expect(await send('first key')).toBe(await send('first key'));
    expect(count('jobs')).toBe(before + 1);
    await send('second key');
    expect(count('jobs')).toBe(before + 2);
  });
});
