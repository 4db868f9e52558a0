/** Bundles the command line, so that it starts at once: a part for each command, and none is loaded that is not asked for. */
import { existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = path.dirname(path.dirname(fileURLToPath(import.meta.url)));

/** Where the bundled command line stands. */
export const BUNDLED_CLI = path.join(ROOT, 'dist/cli/mellow.js');

/** What it is made from, beside the packages. */
const SOURCES = ['src/cli', 'src/core', 'src/subjects', 'package-lock.json'];

/** When anything below a folder was written last, ms. */
function newestIn(place) {
  const stats = statSync(place);
  if (!stats.isDirectory()) return stats.mtimeMs;
  return readdirSync(place, { withFileTypes: true }).reduce((newest, entry) => {
    if (entry.name === 'tests') return newest;
    const inside = path.join(place, entry.name);
    return Math.max(newest, entry.isDirectory() ? newestIn(inside) : statSync(inside).mtimeMs);
  }, 0);
}

function isCurrent() {
  if (!existsSync(BUNDLED_CLI)) return false;
  const builtAt = statSync(BUNDLED_CLI).mtimeMs;
  return SOURCES.every((source) => newestIn(path.join(ROOT, source)) <= builtAt);
}

/** Bundles the command line where its sources are newer than the bundle. */
export async function buildCliIfNeeded() {
  if (isCurrent()) return;
  const { build } = await import('esbuild');
  const final = path.dirname(BUNDLED_CLI);
  const arriving = `${final}-${process.pid}`;
  await build({
    absWorkingDir: ROOT,
    entryPoints: ['src/cli/mellow.ts'],
    outdir: arriving,
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    // The solid kernel finds its code beside itself.
    external: ['manifold-3d'],
    // Packages of the older kind ask for others by a function that this kind of file lacks.
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
    },
    logLevel: 'error',
  }); // Whole, or not there: another start at the same moment may have been first.
  rmSync(final, { recursive: true, force: true });
  try {
    renameSync(arriving, final);
  } catch (error) {
    rmSync(arriving, { recursive: true, force: true });
    if (!existsSync(BUNDLED_CLI)) throw error;
  }
}
