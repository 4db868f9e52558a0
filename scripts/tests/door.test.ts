import { expect, test } from '@jest/globals';
import { isHandedOn, isMachineMark, markDevice, markMachine } from '../door.mjs';

const HEADER = 'x-mellow-door';
const request = (headers: Record<string, string> = {}) => ({ headers });

test('a request that came in at the machine says so, and goes on saying so when it is handed on', () => {
  const one = request();
  markMachine(one);
  expect(isMachineMark(one.headers[HEADER])).toBe(true);
  expect(isHandedOn(request({ ...one.headers }))).toBe(true);
});

test('one of a paired device is not at the machine, whatever its device is called', () => {
  for (const id of ['abc', 'machine', 'machine x', '']) {
    const one = request({ [HEADER]: 'machine' });
    markDevice(one, id);
    expect(isMachineMark(one.headers[HEADER])).toBe(false);
    expect(isHandedOn(one)).toBe(true);
  }
});

test.each([null, undefined, '', 'machine', 'machine ', `machine ${'0'.repeat(64)}`, 'device x'])(
  'what nobody of this process marked (%s) is at no door',
  (mark) => {
    expect(isMachineMark(mark)).toBe(false);
    expect(isHandedOn(request(mark === null || mark === undefined ? {} : { [HEADER]: mark }))).toBe(false);
  },
);
