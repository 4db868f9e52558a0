/** npm run demo [-- --fresh] [--port N]: installs, builds, fills a bench with sample data and serves it. */
import { rmSync } from 'node:fs';
import { buildIfNeeded } from './build.mjs';
import { installPackages, run } from './install.mjs';
import { portFrom, serve } from './serve.mjs';

const words = process.argv.slice(2);
const folder = process.env.MELLOW_DATA ?? 'demo-data';
const port = portFrom(words);
installPackages();
buildIfNeeded();
if (words.includes('--fresh')) rmSync(folder, { recursive: true, force: true });
// The verbs are the server's: their doors open under the condition that React gives servers.
run(process.execPath, ['--conditions=react-server', '--import', 'tsx', 'src/demo/run.ts'], {
  MELLOW_DATA: folder,
});
serve(folder, port);
