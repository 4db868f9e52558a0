/** Before the unit tests: the command line is bundled once, so that tests run what people run. */
export { buildCliIfNeeded as default } from './build-cli.mjs';
