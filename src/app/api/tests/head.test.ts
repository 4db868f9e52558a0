import { expect, test } from '@jest/globals';
import { answering, answeringAtMachine } from '../answers';

const ask = (method: string, door = '') =>
  new Request('http://127.0.0.1:4310/api/backup', { method, headers: { 'x-mellow-door': door } });

test('HEAD is answered without the work of GET', async () => {
  let worked = 0;
  const handler = () => Response.json({ worked: ++worked });
  for (const route of [answering(handler), answeringAtMachine(handler)]) {
    const answer = await route(ask('HEAD', 'machine'));
    expect([answer.status, await answer.text(), worked]).toEqual([200, '', 0]);
  }
});

test('what is answered at the machine alone is refused to everybody who cannot show its mark', async () => {
  Object.assign(globalThis, { mellowDoor: { isMachineMark: (mark: string | null) => mark === 'machine' } });
  let worked = 0;
  const route = answeringAtMachine(() => Response.json({ worked: ++worked }));
  for (const door of ['', 'device x', 'machine2']) {
    const answer = await route(ask('GET', door));
    expect([answer.status, ((await answer.json()) as { message: string }).message]).toEqual([
      403,
      expect.stringContaining('on the computer that runs the server'),
    ]);
  }
  expect(worked).toBe(0);
  expect((await route(ask('GET', 'machine'))).status).toBe(200);
});
