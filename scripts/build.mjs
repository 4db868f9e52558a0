/** Builds the application when its sources changed since the last build. */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { buildCliIfNeeded } from './build-cli.mjs';
import { run } from './install.mjs';

const STAMP = '.next/mellow-built';
const SOURCES = ['src', 'package-lock.json', 'next.config.ts', 'tsconfig.json', 'postcss.config.mjs'];

function* listFiles(entry) {
  if (!statSync(entry).isDirectory()) yield entry;
  else for (const name of readdirSync(entry).sort()) yield* listFiles(path.join(entry, name));
}

function hashSources() {
  const hash = createHash('sha256');
  for (const source of SOURCES) {
    for (const file of listFiles(source)) {
      if (!file.includes('/tests/')) hash.update(file).update(readFileSync(file));
    }
  }
  return hash.digest('hex');
}

export async function buildIfNeeded() {
  await buildCliIfNeeded();
  const wanted = hashSources();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
  console.log('Building the application, about one minute …');
  run('npx', ['--no-install', 'next', 'build'], { NEXT_TELEMETRY_DISABLED: '1' });
  writeFileSync(STAMP, wanted);
}
