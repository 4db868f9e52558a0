/** Names under which this machine answers itself. */
const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);

/**
 * Why a request is not this bench's own, in a sentence; undefined when it is. The host must be this machine's (a name
 * that was made to point here is none), and what another page sends in the user's name is refused; following a link to
 * the bench is not.
 *
 * @param {{ method?: string, url?: string, headers: import('node:http').IncomingHttpHeaders }} request
 * @returns {string | undefined}
 */
export function findStranger({ method, url = '/', headers }) {
  const host = headers.host ?? '';
  if (!LOOPBACK.has(host.replace(/:\d+$/, ''))) return 'This bench answers on its own machine only.';
  if (headers.origin !== undefined && headers.origin !== `http://${host}`)
    return 'Another page may not use this bench.';
  const site = headers['sec-fetch-site'];
  const followsLink =
    method === 'GET' && headers['sec-fetch-mode'] === 'navigate' && !url.startsWith('/api/');
  if (site !== undefined && site !== 'same-origin' && site !== 'none' && !followsLink)
    return 'Another page may not use this bench.';
  return undefined;
}
