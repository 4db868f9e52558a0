import { expect, test } from '@jest/globals';
import { findStranger, isPlainTarget } from '../guard.mjs';

const request = (headers: Record<string, string>, url = '/api/readings', method = 'POST') => ({
  method,
  url,
  headers,
});
const HERE = '127.0.0.1:4310';

test.each([
  [{ host: HERE }],
  [{ host: 'localhost:4310', origin: 'http://localhost:4310' }],
  [{ host: '[::1]:4310' }],
  [{ host: HERE, 'sec-fetch-site': 'same-origin' }],
])('the bench’s own page may (%#)', (headers) => {
  expect(findStranger(request(headers))).toBeUndefined();
});

test.each([
  [{}],
  [{ host: 'bench.example:4310' }],
  [{ host: 'bench.example:4310', origin: 'http://bench.example:4310' }],
  [{ host: HERE, origin: 'http://elsewhere.example' }],
  [{ host: HERE, origin: 'null' }],
  [{ host: HERE, origin: 'http://127.0.0.1:9999' }],
  [{ host: HERE, 'sec-fetch-site': 'cross-site' }],
  [{ host: HERE, 'sec-fetch-site': 'same-site' }],
  [{ host: '127.0.0.1.example:4310' }],
])('a stranger is refused (%#)', (headers) => {
  expect(findStranger(request(headers))).toMatch(/server/);
});

test('a link on another page opens the bench, but fetches none of its files', () => {
  const link = { host: HERE, 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' };
  expect(findStranger(request(link, '/jobs/8/need', 'GET'))).toBeUndefined();
  expect(findStranger(request(link, '/api/backup', 'GET'))).toBeDefined();
  expect(findStranger(request(link, '/jobs/8/need', 'POST'))).toBeDefined();
});

test.each(['/', '/jobs/8/need', '/api/find?words=a%20b', '/jobs/[jobId]/need', '/a?x=../y'])(
  '%s is a plain target',
  (target) => expect(isPlainTarget(target)).toBe(true),
);

test.each([
  '/x/../api/backup',
  '/./api/backup',
  '/api/backup#',
  '/x/../house',
  '/x/%2e%2e/house',
  '/x/%2E/house',
  '/api%2fbackup',
  '/api/%5cbackup',
  '//api/backup',
  '/api//backup',
  '/x\\..\\api',
  'http://127.0.0.1:4310/api/backup',
  '*',
  '',
  '/a b',
])('%s is none: what is judged must be what is served', (target) =>
  expect(isPlainTarget(target)).toBe(false),
);
