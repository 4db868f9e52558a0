/**
 * node scripts/server.mjs --port N [--dev]: the application on the loopback address. Every request passes the guard here,
 * before a page, an action, a route handler or an upload sees it; bodies are not touched, so none is cut.
 */
import { createServer } from 'node:http';
import { parseArgs } from 'node:util';
import next from 'next';
import { findStranger } from './guard.mjs';

const HOST = '127.0.0.1';
const { values } = parseArgs({
  options: { port: { type: 'string' }, dev: { type: 'boolean', default: false } },
});
const port = Number(values.port);

/** Longer than a slow page takes: an idle connection is not cut under a browser that is about to ask again. */
const KEEP_ALIVE_MS = 60_000;

const server = createServer({ keepAliveTimeout: KEEP_ALIVE_MS });
const app = next({ dev: values.dev, hostname: HOST, port, httpServer: server });

server.on('request', (request, response) => {
  const why = findStranger(request);
  if (why === undefined) return void app.getRequestHandler()(request, response);
  response.writeHead(403, { 'Content-Type': 'application/json', Connection: 'close' });
  response.end(JSON.stringify({ message: why }));
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

await app.prepare();
server.listen(port, HOST, () => console.log('Ready'));
