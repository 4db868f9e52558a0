/** Starts the built application on the loopback address and waits until it answers. */
import { spawn } from 'node:child_process';

const DEFAULT_PORT = 4310;

export function portFrom(words) {
  const at = words.indexOf('--port');
  if (at < 0) return DEFAULT_PORT;
  const port = Number(words[at + 1]);
  if (Number.isInteger(port) && port > 0 && port < 65536) return port;
  console.error(`--port: “${words[at + 1] ?? ''}” is no port. Give a number from 1 to 65535.`);
  process.exit(2);
}

/** The address of this machine that paired devices may reach the bench on; undefined: none. */
export function shareFrom(words) {
  const at = words.indexOf('--share');
  if (at < 0) return undefined;
  if (words[at + 1] !== undefined && !words[at + 1].startsWith('--')) return words[at + 1];
  console.error('--share: name an address of this machine, such as 192.168.1.20.');
  process.exit(2);
}

export function serve(dataFolder, port, share) {
  const shared = share === undefined ? [] : ['--share', share];
  const server = spawn(process.execPath, ['scripts/server.mjs', '--port', String(port), ...shared], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, MELLOW_DATA: dataFolder, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
  });
  let told = false;
  server.stdout.on('data', (chunk) => {
    if (!String(chunk).includes('Ready')) return void process.stdout.write(chunk);
    if (told) return;
    told = true;
    console.log(
      `\nMellow Caliper is open at http://127.0.0.1:${port}  (Ctrl+C ends it; data in ${dataFolder})\n`,
    );
  });
  server.on('exit', (code) => process.exit(code ?? 0));
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
}
