/**
 * The exposure found on simulated printers whose light is not the model's: by a trim after one set of strips and one block,
 * and by a bracket of three, then three. Usage: npm run bench:light [-- PRINTERS].
 */
import { seededRandom } from '@/core/kit/numerics';
import { drawPrinter, edgeGrowthOf } from '@/core/simulated';
import { bracketTwice, type Chosen, changeExposureOnce } from '@/testing/light';

const printers = Number(process.argv[2] ?? 200);

/** A share of the printers with its standard error, in per cent. */
function share(all: readonly Chosen[], withinMm: number): string {
  const count = all.filter(({ holds, edgeMm }) => holds && Math.abs(edgeMm) < withinMm).length;
  const p = count / all.length;
  return `${(100 * p).toFixed(1)} ± ${(100 * Math.sqrt((p * (1 - p)) / all.length)).toFixed(1)} %`;
}

const drawn = Array.from({ length: printers }, (_, i) => drawPrinter(i + 1));
const rows = {
  'as it was': drawn.map((printer) => ({ holds: true, edgeMm: edgeGrowthOf(printer) })),
  'strips and a block, then a trim': drawn.map((printer) =>
    changeExposureOnce(printer, seededRandom(printer.seed)),
  ),
  'three gauges, then three': drawn.map((printer) => bracketTwice(printer, seededRandom(printer.seed))),
};
console.log(`${printers} printers: layers hold, and edges are true within`);
console.log('| found by | 0.02 mm | 0.03 mm |');
console.log('|---|---|---|');
for (const [name, all] of Object.entries(rows))
  console.log(`| ${name} | ${share(all, 0.02)} | ${share(all, 0.03)} |`);
