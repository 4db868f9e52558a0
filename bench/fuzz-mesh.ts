/**
 * Reads damaged copies of a box in every format, 10 000 each, with a fixed seed, and checks the ones that can be read:
 * none may crash, need more than two seconds or over a gigabyte. Prints how many were read and refused, the slowest and the
 * memory at the end.
 */
import { checkMesh, readMesh, weldCorners } from '@/core/part/mesh';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { boxFiles, mutate } from '@/testing/mesh-files';
import { wholeCheck } from '@/testing/whole-check';

const COPIES = 10_000;
const LONGEST_MS = 2000;
const MOST_BYTES = 1e9;

let failed = false;
for (const [name, bytes] of boxFiles()) {
  const random = seededRandom(seedFrom(7, name));
  let [read, refused, slowest] = [0, 0, 0];
  for (let i = 0; i < COPIES; i++) {
    const damaged = mutate(bytes, random);
    const start = performance.now();
    const soup = readMesh(damaged, name);
    if (soup.ok) {
      // Layers, features and repairs of every tenth: they take most of the time.
      (i % 10 === 0 ? wholeCheck : checkMesh)(weldCorners(soup.value.corners));
      read++;
    } else refused++;
    slowest = Math.max(slowest, performance.now() - start);
  }
  const { rss } = process.memoryUsage();
  failed ||= slowest > LONGEST_MS || rss > MOST_BYTES;
  console.log(
    `${name.padEnd(11)} ${read} read, ${refused} refused, slowest ${slowest.toFixed(0)} ms, ${(rss / 1e6).toFixed(0)} MB`,
  );
}
if (failed) process.exitCode = 1;
