/**
 * node scripts/server.mjs --port N [--dev] [--share ADDRESS]: the application on the loopback address, and for paired
 * devices on one more address of this machine. Every request passes the guard here,
 * before a page, an action, a route handler or an upload sees it; bodies are not touched, so none is cut.
 */
import { createServer } from 'node:http';
import { parseArgs } from 'node:util';
import { Worker } from 'node:worker_threads';
import next from 'next';
import { findStranger } from './guard.mjs';
import { secure } from './headers.mjs';
import { isOwnAddress, Share } from './share.mjs';

const HOST = '127.0.0.1';
const { values } = parseArgs({
  options: { port: { type: 'string' }, dev: { type: 'boolean', default: false }, share: { type: 'string' } },
});
const port = Number(values.port);

/** Longer than a slow page takes: an idle connection is not cut under a browser that is about to ask again. */
const KEEP_ALIVE_MS = 60_000;

/** Threads run from the sources, beside what is bundled; src/open-bench.ts asks for them. */
globalThis.mellowThread = (name) => new Worker(new URL(`../src/workers/${name}.thread.mjs`, import.meta.url));

const server = createServer({ keepAliveTimeout: KEEP_ALIVE_MS });
const app = next({ dev: values.dev, hostname: HOST, port, httpServer: server });

/** What is served of a bench that cannot be opened; every other address leads to what is wrong with it. */
const SERVED_CLOSED = /^\/(_next\/|icon\.svg|favicon\.ico|rescue|api\/(backup|originals))/;

/** The bench of this process, as src/store keeps it. */
const isClosed = () => globalThis.mellowBench?.opened.ok === false;

/** Hands a request that may come in on to the application. */
function handOn(request, response) {
  if (isClosed() && !SERVED_CLOSED.test(request.url))
    request.url = request.url.startsWith('/api/') ? '/api/closed' : '/rescue';
  app.getRequestHandler()(request, response);
}

server.on('request', (request, response) => {
  secure(request, response, { isDevelopment: values.dev });
  const why = findStranger(request);
  if (why !== undefined) {
    response.writeHead(403, { 'Content-Type': 'application/json' });
    response.end(JSON.stringify({ message: why }));
    return;
  }
  // Said of requests from a paired device, and by nobody else.
  delete request.headers['x-mellow-device'];
  handOn(request, response);
});
server.prependListener('upgrade', (request, socket) => {
  if (findStranger(request) !== undefined) socket.destroy();
});
server.on('error', (error) => {
  console.error(
    error.code === 'EADDRINUSE' ? `Port ${port} is in use. Try --port ${port + 1}.` : error.message,
  );
  process.exit(1);
});

/** The same on the address that was named, for paired devices only. House makes codes and revokes through it. */
function shareOn(address) {
  if (!isOwnAddress(address)) {
    console.error(
      `--share ${address}: that is no address of this machine. Name one of them, not a wildcard.`,
    );
    process.exit(2);
  }
  const share = new Share({ address, port, root: process.env.MELLOW_DATA ?? 'data' });
  globalThis.mellowShare = share;
  const shared = createServer({ keepAliveTimeout: KEEP_ALIVE_MS });
  shared.on('request', async (request, response) => {
    secure(request, response, { isDevelopment: values.dev });
    if (await share.lets(request, response)) handOn(request, response);
  });
  shared.on('upgrade', (_request, socket) => socket.destroy());
  shared.on('error', (error) => {
    console.error(`--share ${address}: ${error.message}`);
    process.exit(1);
  });
  shared.listen(port, address, () => console.log(`Shared ${share.origin}`));
}

await app.prepare();
if (values.share !== undefined) shareOn(values.share);
server.listen(port, HOST, () => console.log('Ready'));
