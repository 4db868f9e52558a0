import { expect, test } from '@jest/globals';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { secure } from '../headers.mjs';

function headersOf(url: string, isDevelopment = false) {
  const request = { url, headers: { 'x-nonce': 'mine', 'content-security-policy': 'none of it' } };
  const sent = new Map<string, string>();
  const response = { setHeader: (name: string, value: string) => sent.set(name, value) };
  secure(request as unknown as IncomingMessage, response as unknown as ServerResponse, { isDevelopment });
  return { request, sent };
}

test.each(['/', '/jobs/8/need', '/api/readings', '/_next/static/chunk.js'])('%s carries them', (url) => {
  const { sent } = headersOf(url);
  expect(sent.get('X-Content-Type-Options')).toBe('nosniff');
  expect(sent.get('Referrer-Policy')).toBe('same-origin');
  expect(sent.get('Content-Security-Policy')).toContain("default-src 'self'");
  expect(sent.get('Content-Security-Policy')).not.toContain("'unsafe-eval'");
});

test('the nonce is new with each request, and never the one that a client sends', () => {
  const [one, other] = [headersOf('/'), headersOf('/')];
  expect(one.request.headers['x-nonce']).not.toBe('mine');
  expect(one.request.headers['x-nonce']).not.toBe(other.request.headers['x-nonce']);
  expect(one.sent.get('Content-Security-Policy')).toContain(`'nonce-${one.request.headers['x-nonce']}'`);
  expect(one.request.headers['content-security-policy']).toBe(one.sent.get('Content-Security-Policy'));
});
