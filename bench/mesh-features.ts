/**
 * Finding the features of solids that are hard to read, by their facets: time, and how it grows when the facets double,
 * beside reading and welding the same file in the same run. Medians of five. `npm run bench:features [-- --quick]`.
 */
import { findFeatures, readStl, weldCorners, writeStl } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { ROUND_SOLIDS } from '@/testing/round-solids';

const quick = process.argv.includes('--quick');
const sizes = quick ? [2500, 5000] : [5000, 10_000, 20_000, 40_000];

function median(run: () => unknown): number {
  const times = Array.from({ length: quick ? 1 : 5 }, () => {
    const from = performance.now();
    run();
    return performance.now() - from;
  });
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)];
}

console.log('| solid | facets | features, ms | against half the facets | against parse and weld |');
console.log('| --- | ---: | ---: | ---: | ---: |');
for (const [name, build] of Object.entries(ROUND_SOLIDS)) {
  let before: number | undefined;
  for (const size of sizes) {
    const mesh = build(size);
    const bytes = writeStl(mesh);
    const welded = weldCorners(expectOk(readStl(bytes)).corners);
    const ms = median(() => findFeatures(welded));
    const read = median(() => weldCorners(expectOk(readStl(bytes)).corners));
    const growth = before === undefined ? '' : `× ${(ms / before).toFixed(1)}`;
    const facets = mesh.facets.length / 3;
    console.log(`| ${name} | ${facets} | ${ms.toFixed(0)} | ${growth} | × ${(ms / read).toFixed(1)} |`);
    before = ms;
  }
}
