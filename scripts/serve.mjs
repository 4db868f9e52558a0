/** Starts the built application on the loopback address and waits until it answers. */
import { spawn } from 'node:child_process';
import { findPortTrouble, readPort, readSharedAddress } from './addresses.mjs';

const DEFAULT_PORT = 4310;

/** Options that every start of the server takes. */
export const SERVE_OPTIONS = {
  port: {
    value: 'N',
    text: `port of 127.0.0.1, from 1 to 65535; ${DEFAULT_PORT} if left out`,
    read: readPort,
  },
  share: {
    value: 'ADDRESS',
    text: 'also serves paired phones and tablets, on this address of the computer',
    read: readSharedAddress,
  },
  data: { value: 'FOLDER', text: 'folder of the workshop; counts before MELLOW_DATA' },
};

/** Where to serve which folder, by the words of a start. Ends the process where the port is taken. */
export async function placeOf({ port = DEFAULT_PORT, share, data }, usualFolder) {
  const trouble = (await findPortTrouble(port)) ?? (share && (await findPortTrouble(port, share)));
  if (trouble !== undefined) {
    console.error(trouble);
    process.exit(1);
  }
  return { port, share, folder: data ?? process.env.MELLOW_DATA ?? usualFolder };
}

const SIGNALS = ['SIGINT', 'SIGTERM', 'SIGHUP'];

/** Serves a folder until the server ends or this process is stopped; its exit code becomes ours. */
export function serve({ folder, port, share }) {
  const shared = share === undefined ? [] : ['--share', share];
  const server = spawn(process.execPath, ['scripts/server.mjs', '--port', String(port), ...shared], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, MELLOW_DATA: folder, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
  });
  let told = false;
  server.stdout.on('data', (chunk) => {
    if (!String(chunk).includes('Ready')) return void process.stdout.write(chunk);
    if (told) return;
    told = true;
    console.log(
      `\nMellow Caliper is open at http://127.0.0.1:${port}  (Ctrl+C ends it; data in ${folder})\n`,
    );
  });
  let isAsked = false;
  server.on('exit', (code) => process.exit(code ?? (isAsked ? 0 : 1)));
  for (const signal of SIGNALS)
    process.on(signal, () => {
      isAsked = true;
      server.kill(signal);
    });
}
