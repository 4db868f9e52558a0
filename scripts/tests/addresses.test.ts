import { expect, test } from '@jest/globals';
import { createServer } from 'node:net';
import { describePortTrouble, findPortTrouble, readPort, readSharedAddress } from '../addresses.mjs';

test.each(['1', '4310', '65535'])('%s is a port', (given) => expect(readPort(given)).toBe(Number(given)));

test.each(['0', '65536', '-1', '80.5', '1e3', '', ' 80', 'http'])('“%s” is no port', (given) => {
  expect(() => readPort(given)).toThrow('a port is a whole number from 1 to 65535.');
});

test.each(['127.0.0.1', 'localhost', '::1'])(
  '%s is served already: another address is asked for',
  (given) => {
    expect(() => readSharedAddress(given)).toThrow(
      /served already, and only this machine reaches it\. (Name|This)/,
    );
  },
);

test.each([
  ['0.0.0.0', /every address at once/],
  ['::', /every address at once/],
  ['203.0.113.9', /does not have that address/],
  ['127.0.0.1.evil.example', /does not have that address/],
  ['bench.example', /does not have that address/],
])('%s is none to share on', (given, says) => {
  expect(() => readSharedAddress(given)).toThrow(says);
});

test('another loopback address may be shared: tests and tunnels use them', () => {
  expect(readSharedAddress('127.0.0.2')).toBe('127.0.0.2');
});

test('a port in use is told with the next one, a free one is free', async () => {
  const holder = createServer();
  const port = await new Promise<number>((resolve) =>
    holder.listen(0, '127.0.0.1', () => resolve((holder.address() as { port: number }).port)),
  );
  const told = await findPortTrouble(port);
  expect(told).toContain(`Port ${port} of 127.0.0.1 is in use.`);
  expect(told).toContain(`--port ${port === 65_535 ? port - 1 : port + 1}`);
  await new Promise((resolve) => holder.close(resolve));
  expect(await findPortTrouble(port)).toBeUndefined();
});

test.each([
  ['EACCES', 80, 'Choose one from 1024 up'],
  ['EADDRNOTAVAIL', 4310, 'does not have the address'],
  ['EIO', 4310, 'cannot be used: broken'],
])('%s is one sentence with what to do', (code, port, says) => {
  expect(describePortTrouble({ code, message: 'broken' }, port)).toContain(says);
});
