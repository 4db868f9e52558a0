import { randomUUID } from 'node:crypto';

/** Workers live by the policy of their own script, which loads the solid kernel. */
const STATIC_POLICY = "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'";

/** What a page may load, with a nonce of its own; workers and the solid kernel need 'wasm-unsafe-eval'. */
function policy(nonce, isDevelopment) {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic' 'wasm-unsafe-eval'${isDevelopment ? " 'unsafe-eval'" : ''}`,
    `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self' blob:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/**
 * Gives every answer, page or interface, its security headers. The page learns its nonce from the request, as the
 * framework expects it; what a client sends under those names is overwritten.
 *
 * @param {import('node:http').IncomingMessage} request
 * @param {import('node:http').ServerResponse} response
 * @param {{ isDevelopment: boolean }} options
 */
export function secure(request, response, { isDevelopment }) {
  const nonce = Buffer.from(randomUUID()).toString('base64');
  const isStatic = (request.url ?? '').startsWith('/_next/static/');
  const value = isStatic ? STATIC_POLICY : policy(nonce, isDevelopment);
  request.headers['x-nonce'] = nonce;
  request.headers['content-security-policy'] = value;
  response.setHeader('Content-Security-Policy', value);
  response.setHeader('X-Content-Type-Options', 'nosniff');
  response.setHeader('Referrer-Policy', 'same-origin');
}
