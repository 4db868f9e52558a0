import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { answering } from '../answers';

/** Code of the solid kernel for the page's workers, from the package itself so that it cannot drift from it. */
export const GET = answering(async () => {
  const file = path.join(process.cwd(), 'node_modules', 'manifold-3d', 'manifold.wasm');
  return new Response(new Uint8Array(await readFile(file)), {
    headers: { 'Content-Type': 'application/wasm', 'Cache-Control': 'private, max-age=86400' },
  });
});
