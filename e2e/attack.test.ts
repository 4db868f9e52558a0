import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { bodies, ids, names, strangers } from './attack/attacks';
import { serveBench, type BenchServer } from './bench-server';

let server: BenchServer;
beforeAll(async () => {
  server = await serveBench('demo');
});
afterAll(async () => server.stop());

// The short form of npm run attack.
test.each([
  ['strangers are refused at every page, action and route', strangers],
  ['bodies that are none, wrong or huge are refused in words', bodies],
  ['ids of other jobs change nothing', ids],
  ['names of every kind go through every form and come back out of every file', names],
])('%s', async (_what, attack) => {
  const { tries, failures } = await attack(server, { isShort: true });
  expect(tries).toBeGreaterThan(20);
  expect(failures).toEqual([]);
});
