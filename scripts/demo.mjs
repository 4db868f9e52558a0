/** npm run demo: installs, builds, fills a workshop with sample data and serves it. */
import { spawnSync } from 'node:child_process';
import { buildIfNeeded } from './build.mjs';
import { installPackages } from './install.mjs';
import { placeOf, serve, SERVE_OPTIONS } from './serve.mjs';
import { wordsOf } from './words.mjs';

const words = wordsOf({
  command: 'npm run demo',
  does: 'Serves a workshop with sample data; the folder is ./demo-data if none is named.',
  options: {
    ...SERVE_OPTIONS,
    fresh: { text: 'starts the sample data over; deletes only what a demo made' },
  },
});
const place = await placeOf(words, 'demo-data');
installPackages();
await buildIfNeeded();
// The verbs are the server's: their doors open under the condition that React gives servers.
const { status } = spawnSync(
  process.execPath,
  [
    '--conditions=react-server',
    '--import',
    'tsx',
    'src/demo/run.ts',
    ...(words.fresh === true ? ['--fresh'] : []),
  ],
  { stdio: 'inherit', env: { ...process.env, MELLOW_DATA: place.folder } },
);
if (status !== 0) process.exit(status ?? 1);
serve(place);
