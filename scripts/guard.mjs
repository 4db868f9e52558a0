/** Names under which this machine answers itself. */
const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);

/** Whether a Host header names this machine by a loopback address. */
export const isLoopback = (host) => LOOPBACK.has(host.replace(/:\d+$/, ''));

/**
 * Whether the target of a request is a path as it will be served: what `..`, `.`, `//`, `\`, `#` or another server's
 * address would lead to is not what it says, so it is refused.
 */
export function isPlainTarget(target) {
  if (!target.startsWith('/') || target.includes('#')) return false;
  const path = target.split('?', 1)[0];
  if (/\/\/|\\|%2e|%2f|%5c/i.test(path)) return false;
  return URL.canParse(`http://host${target}`) && new URL(`http://host${target}`).pathname === path;
}

/**
 * Why a request does not come from this application's own pages, in a sentence; undefined when it does. The host must be
 * one under which it is served (a name that was made to point here is none), and what another page sends in the user's
 * name is refused; following a link to a page is not.
 *
 * @param {{ method?: string, url?: string, headers: import('node:http').IncomingHttpHeaders }} request
 * @param {(host: string) => boolean} isOwnHost
 * @returns {string | undefined}
 */
export function findStranger({ method, url = '/', headers }, isOwnHost = isLoopback) {
  const host = headers.host ?? '';
  if (!isOwnHost(host)) return 'This server does not respond to that name.';
  if (!isPlainTarget(url)) return 'This address is not valid. Open the first page of the server.';
  if (headers.origin !== undefined && headers.origin !== `http://${host}`)
    return 'Another page may not use this server.';
  const site = headers['sec-fetch-site'];
  const followsLink =
    method === 'GET' && headers['sec-fetch-mode'] === 'navigate' && !url.startsWith('/api/');
  if (site !== undefined && site !== 'same-origin' && site !== 'none' && !followsLink)
    return 'Another page may not use this server.';
  return undefined;
}
