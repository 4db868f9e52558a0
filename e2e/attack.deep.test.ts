import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { bodies, ids, names, strangers } from './attack/attacks';
import { devices } from './attack/devices';
import { replays } from './attack/replays';
import { serveBench, type BenchServer } from './bench-server';

const SHARED = '127.0.0.2';

let server: BenchServer;
let shared: string;
beforeAll(async () => {
  server = await serveBench('demo', ['--share', SHARED]);
  shared = `http://${SHARED}:${new URL(server.address).port}`;
});
afterAll(async () => server.stop());

// The short form of npm run attack.
test.each([
  ['strangers are refused at every page, action and route', strangers],
  ['a paired device does nothing that is done at the machine, however it asks', devices],
  ['a tap or a form that is sent again changes nothing', replays],
  ['bodies that are none, wrong or huge are refused in words', bodies],
  ['ids of other jobs change nothing', ids],
  ['names of every kind go through every form and come back out of every file', names],
])('%s', async (_what, attack) => {
  const { tries, failures } = await attack(server, { isShort: true, shared });
  expect(tries).toBeGreaterThan(20);
  expect(failures).toEqual([]);
});
