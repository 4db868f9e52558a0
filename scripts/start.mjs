/** npm start [-- --port N]: serves the bench in MELLOW_DATA, ./data when not set. */
import { buildIfNeeded } from './build.mjs';
import { installPackages } from './install.mjs';
import { portFrom, serve, shareFrom } from './serve.mjs';

const port = portFrom(process.argv.slice(2));
const share = shareFrom(process.argv.slice(2));
installPackages();
buildIfNeeded();
serve(process.env.MELLOW_DATA ?? 'data', port, share);
