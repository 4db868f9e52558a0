/**
 * node scripts/server.mjs --port N [--dev] [--share ADDRESS]: the application on the loopback address, and for paired
 * devices on one more address of this machine. Every request passes the guard here,
 * before a page, an action, a route handler or an upload sees it; bodies are not touched, so none is cut.
 */
import { createServer } from 'node:http';
import { Worker } from 'node:worker_threads';
import next from 'next';
import { describePortTrouble, HOST } from './addresses.mjs';
import { isHandedOn, isMachineMark, markMachine } from './door.mjs';
import { findStranger } from './guard.mjs';
import { secure } from './headers.mjs';
import { SERVE_OPTIONS } from './serve.mjs';
import { Share } from './share.mjs';
import { wordsOf } from './words.mjs';

const words = wordsOf({
  command: 'node scripts/server.mjs',
  does: 'Serves the folder in MELLOW_DATA; npm start and npm run demo call it.',
  options: {
    port: SERVE_OPTIONS.port,
    share: SERVE_OPTIONS.share,
    dev: { text: 'builds pages as they are asked for' },
  },
});
const { port = 4310, dev: isDevelopment = false } = words;

/** Longer than a slow page takes: an idle connection is not cut under a browser that is about to ask again. */
const KEEP_ALIVE_MS = 60_000;

/** Threads run from the sources, beside what is bundled; src/open-bench.ts asks for them. */
globalThis.mellowThread = (name) => new Worker(new URL(`../src/workers/${name}.thread.mjs`, import.meta.url));

const server = createServer({ keepAliveTimeout: KEEP_ALIVE_MS });
const app = next({ dev: isDevelopment, hostname: HOST, port, httpServer: server });

/** What is served while the workshop cannot be opened; every other address leads to the page that says why. */
const SERVED_CLOSED = /^\/(_next\/|icon\.svg|favicon\.ico|rescue|api\/(backup|originals))/;

/** The workshop of this process, as store opens it. */
const isClosed = () => globalThis.mellowBench?.opened.ok === false;

/** Handlers and pages ask here which door a request came in by. */
globalThis.mellowDoor = { isMachineMark };

/** Hands a request that may come in on to the application. */
async function handOn(request, response) {
  if (isClosed() && !SERVED_CLOSED.test(request.url))
    request.url = request.url.startsWith('/api/') ? '/api/closed' : '/rescue';
  await app.getRequestHandler()(request, response);
}

/**
 * Serves requests that pass the guard; if the client disconnects, or if something fails before an answer began, only
 * that connection ends.
 */
function serveOn(passes) {
  return async (request, response) => {
    try {
      secure(request, response, { isDevelopment });
      if (await passes(request, response)) await handOn(request, response);
    } catch (error) {
      if (!request.destroyed && !response.destroyed) console.error(error);
      response.destroy();
    }
  };
}

/**
 * A request that this process sent to itself keeps its door; every other one on loopback is from this computer. A
 * request that claims to be handed on, but has no mark, is not.
 */
function passesHere(request, response) {
  if (isHandedOn(request)) return true;
  const why =
    request.headers['x-action-forwarded'] === undefined
      ? findStranger(request)
      : 'Only the server itself can forward requests.';
  if (why === undefined) {
    markMachine(request);
    return true;
  }
  response.writeHead(403, { 'Content-Type': 'application/json' });
  response.end(JSON.stringify({ message: why }));
  return false;
}

server.on('request', serveOn(passesHere));
server.prependListener('upgrade', (request, socket) => {
  if (findStranger(request) !== undefined) socket.destroy();
});
server.on('error', (error) => {
  console.error(describePortTrouble(error, port));
  process.exit(1);
});

/** The same on the address that was named, for paired devices only. The settings make codes and revoke through it. */
function shareOn(address) {
  const opened = Share.open({ address, port, root: process.env.MELLOW_DATA ?? 'data' });
  if (!opened.ok) {
    globalThis.mellowShareTrouble = opened.issue;
    return console.error(opened.issue);
  }
  const share = opened.value;
  globalThis.mellowShare = share;
  const shared = createServer({ keepAliveTimeout: KEEP_ALIVE_MS });
  shared.on(
    'request',
    serveOn((request, response) => share.lets(request, response)),
  );
  shared.on('upgrade', (_request, socket) => socket.destroy());
  shared.on('error', (error) => {
    console.error(`--share ${address}: ${describePortTrouble(error, port, address)}`);
    process.exit(1);
  });
  shared.listen(port, address, () => console.log(`Shared ${share.origin}`));
}

await app.prepare();
if (words.share !== undefined) shareOn(words.share);
server.listen(port, HOST, () => console.log('Ready'));
