/** npm run demo [-- --fresh] [--port N] [--share ADDRESS]: installs, builds, fills a bench with sample data and serves it. */
import { spawnSync } from 'node:child_process';
import { buildIfNeeded } from './build.mjs';
import { installPackages } from './install.mjs';
import { portFrom, serve, shareFrom } from './serve.mjs';

const words = process.argv.slice(2);
const folder = process.env.MELLOW_DATA ?? 'demo-data';
const port = portFrom(words);
const share = shareFrom(words);
installPackages();
buildIfNeeded();
// The verbs are the server's: their doors open under the condition that React gives servers.
const { status } = spawnSync(
  process.execPath,
  [
    '--conditions=react-server',
    '--import',
    'tsx',
    'src/demo/run.ts',
    ...words.filter((word) => word === '--fresh'),
  ],
  { stdio: 'inherit', env: { ...process.env, MELLOW_DATA: folder } },
);
if (status !== 0) process.exit(status ?? 1);
serve(folder, port, share);
