#!/usr/bin/env node
/** The command line: bundled when it was not yet, or when its sources changed. */
import { pathToFileURL } from 'node:url';
import { BUNDLED_CLI, buildCliIfNeeded } from '../scripts/build-cli.mjs';

await buildCliIfNeeded();
await import(pathToFileURL(BUNDLED_CLI).href);
