import { execFileSync } from 'node:child_process';
import { expect, test } from '@jest/globals';
import { RUN_DEFAULTS, readWindows, writeWindows } from '../shared';
import { isThere, nextThere, presenceBetween } from '../index';

test('hours of a day as they are typed and written', () => {
  expect(readWindows('8:00-12:00, 13-18:30')).toEqual([
    { fromMin: 480, toMin: 720 },
    { fromMin: 780, toMin: 1110 },
  ]);
  expect(readWindows('')).toEqual([]);
  expect(writeWindows(readWindows('13 – 18:30; 8-12')!)).toBe('8:00-12:00, 13:00-18:30');
  for (const wrong of ['8-', '18-8', '8:70-9', '8-12, 11-13', '8-25', 'morning'])
    expect(readWindows(wrong)).toBeUndefined();
});

test('somebody is there in office hours, and next on Monday from a Friday night on', () => {
  const friday = new Date(2026, 10, 27, 21, 0);
  expect(isThere(RUN_DEFAULTS, new Date(2026, 10, 27, 9, 0))).toBe(true);
  expect(isThere(RUN_DEFAULTS, friday)).toBe(false);
  expect(nextThere(RUN_DEFAULTS, friday)).toEqual(new Date(2026, 10, 30, 8, 0));
  expect(nextThere({ presence: [] }, friday)).toBeUndefined();
});

test('a window that ends at midnight meets the one that begins there', () => {
  const night = Array.from({ length: 7 }, () => [{ fromMin: 0, toMin: 24 * 60 }]);
  const [first, second] = presenceBetween(
    { presence: night },
    new Date(2026, 5, 1, 22),
    new Date(2026, 5, 2, 3),
  );
  expect(first.to).toEqual(second.from);
});

test('hours are those of the clock on the wall, on the days too on which it is set', () => {
  // The zone of a process is fixed at its start: a process of its own.
  const script = `import { presenceBetween, nextThere } from './src/subjects/workshop/settings/view-presence.ts';
    const presence = Array.from({ length: 7 }, () => [{ fromMin: 480, toMin: 1080 }]);
    const of = (month, date) => presenceBetween({ presence }, new Date(2026, month, date), new Date(2026, month, date + 1))
      .map(({ from, to }) => [from.getHours(), to.getHours(), (to - from) / 3600000]);
    const next = nextThere({ presence }, new Date(2026, 2, 28, 20));
    console.log(JSON.stringify([of(2, 29), of(9, 25), (next - new Date(2026, 2, 28, 20)) / 3600000]))`;
  const said = execFileSync(
    process.execPath,
    ['--conditions=react-server', '--import', 'tsx', '--input-type=module', '-e', script],
    { env: { ...process.env, NODE_OPTIONS: '', TZ: 'Europe/Berlin' }, encoding: 'utf8' },
  );
  // From eight to six both times; the night before the clocks go on is an hour short.
  expect(JSON.parse(said)).toEqual([[[8, 18, 10]], [[8, 18, 10]], 11]);
});
