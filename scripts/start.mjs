/** npm start: serves your own workshop. */
import { buildIfNeeded } from './build.mjs';
import { installPackages } from './install.mjs';
import { placeOf, serve, SERVE_OPTIONS } from './serve.mjs';
import { wordsOf } from './words.mjs';

const words = wordsOf({
  command: 'npm start',
  does: 'Serves your workshop; the folder is ./data if none is named.',
  options: SERVE_OPTIONS,
});
const place = await placeOf(words, 'data');
installPackages();
await buildIfNeeded();
serve(place);
