/**
 * Measures how long the import of a large file delays all other requests: the longest pause between two turns of the
 * event loop, beside the total time. `npm run bench:import [-- --quick]`.
 */
import { SHIPPED_SHELF } from '@/core/resin';
import type { Steps } from '@/core/kit';
import { importReadingsSteps } from '@/subjects/measure/readings';
import { importShelfSteps } from '@/subjects/resin/shelf';
import { formatShelfJson } from '@/subjects/resin/shelf/shared';
import { benchOnDisk } from '@/testing/bench';
import { inTurns } from '@/app/api/in-turns';

const quick = process.argv.includes('--quick');

async function pauses(steps: Steps<unknown>): Promise<{ longestMs: number; totalMs: number }> {
  let longestMs = 0;
  let last = performance.now();
  let isRunning = true;
  const watch = () => {
    const now = performance.now();
    longestMs = Math.max(longestMs, now - last);
    last = now;
    if (isRunning) setImmediate(watch);
  };
  setImmediate(watch);
  const from = performance.now();
  await inTurns(steps, { isStopped: () => false });
  const totalMs = performance.now() - from;
  watch();
  isRunning = false;
  return { longestMs, totalMs };
}

const HEADER = 'feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm';

/** So many readings of a hundred bores in ten prints. */
const readings = (count: number) =>
  [
    HEADER,
    ...Array.from(
      { length: count },
      (_, i) => `bore ${i % 100},inside,round,XY,,,8,P${i % 10},cured,${(8 + (i % 97) / 1000).toFixed(3)}`,
    ),
    '',
  ].join('\n');

/** So many resins, each with the values of one of the shipped ones. */
const shelf = (count: number) =>
  formatShelfJson(
    Array.from({ length: count }, (_, i) => ({
      ...SHIPPED_SHELF[i % SHIPPED_SHELF.length],
      name: `Resin ${i}`,
    })),
  );

console.log('| file | MB | import, s | longest pause, ms |');
console.log('| --- | ---: | ---: | ---: |');
const bench = benchOnDisk();
const nothing = () => undefined;
for (const count of quick ? [2000] : [1000, 10_000, 100_000]) {
  const text = readings(count);
  const { longestMs, totalMs } = await pauses(importReadingsSteps(bench.db, bench.jobId, text, nothing));
  console.log(
    `| ${count} readings | ${(text.length / 1e6).toFixed(1)} | ${(totalMs / 1000).toFixed(2)} | ${longestMs.toFixed(0)} |`,
  );
}
{
  const text = `${readings(quick ? 2000 : 100_000)}${'bore 1,inside,round,XY,,,8,P1,cured,8.01\n'.repeat(quick ? 100 : 900_000)}`;
  const { longestMs, totalMs } = await pauses(importReadingsSteps(bench.db, bench.jobId, text, nothing));
  console.log(
    `| a million readings, refused | ${(text.length / 1e6).toFixed(1)} | ${(totalMs / 1000).toFixed(2)} | ${longestMs.toFixed(0)} |`,
  );
}
for (const count of quick ? [200] : [200, 2000, 20_000]) {
  const text = shelf(count);
  const other = benchOnDisk();
  const { longestMs, totalMs } = await pauses(importShelfSteps(other.db, text));
  console.log(
    `| ${count} resins | ${(text.length / 1e6).toFixed(1)} | ${(totalMs / 1000).toFixed(2)} | ${longestMs.toFixed(0)} |`,
  );
  other.end();
}
bench.end();
