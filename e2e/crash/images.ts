/**
 * What a crash would leave, exhaustively: before every call that changes something on the disk the data folder is copied as
 * it stands. Each copy is then started like after a crash. Prints a line of JSON for each.
 * Usage: node --conditions=react-server --import tsx e2e/crash/images.ts WRITE
 */
import fs from 'node:fs';
import { syncBuiltinESMExports } from 'node:module';
import path from 'node:path';
import { expectOk } from '@/core/kit';
import { openBenchAt } from '@/store';
import { makeBench } from './make-bench';
import { startAndLook, WRITES } from './writes';

const CHANGING = [
  'appendFile chmod close copyFile fchmod fsync ftruncate futimes link mkdir mkdtemp open rename rm rmdir symlink',
  'truncate unlink utimes write writeFile writev',
]
  .join(' ')
  .split(' ');

type Call = (...given: unknown[]) => unknown;

/** Calls back before every changing call of fs, in whichever of its three forms, until it is undone. */
function watch(before: (name: string) => void): () => void {
  const undo: (() => void)[] = [];
  const wrap = (holder: Record<string, unknown>, name: string) => {
    const own = holder[name] as Call | undefined;
    if (typeof own !== 'function') return;
    holder[name] = (...given: unknown[]) => {
      before(name);
      return own.apply(holder, given);
    };
    undo.push(() => (holder[name] = own));
  };
  for (const name of CHANGING) {
    wrap(fs as unknown as Record<string, unknown>, name);
    wrap(fs as unknown as Record<string, unknown>, `${name}Sync`);
    wrap(fs.promises as unknown as Record<string, unknown>, name);
  }
  syncBuiltinESMExports();
  return () => {
    for (const each of undo) each();
    syncBuiltinESMExports();
  };
}

const write = process.argv[2];
const root = await makeBench();
const images: { readonly name: string; readonly folder: string }[] = [];
let isCopying = false;

const held = expectOk(openBenchAt(root));
const bench = expectOk(held.opened);
const unwatch = watch((name) => {
  if (isCopying) return;
  isCopying = true;
  const folder = path.join(path.dirname(root), `image-${images.length}`);
  fs.cpSync(root, folder, { recursive: true });
  images.push({ name, folder });
  isCopying = false;
});
await WRITES[write](bench);
unwatch();
bench.db.$client.close();
held.hold.release();

const last = path.join(path.dirname(root), `image-${images.length}`);
fs.cpSync(root, last, { recursive: true });
for (const { name, folder } of [...images, { name: 'end', folder: last }])
  console.log(JSON.stringify({ name, ...startAndLook(folder) }));
fs.rmSync(path.dirname(root), { recursive: true });
