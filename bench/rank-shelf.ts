/**
 * Time to compare all resins with a requirement, by their number, beside sorting as many numbers in the same run;
 * medians of nine. 5 000 resins should rank in less than 100 ms on a desktop computer.
 */
import { seededRandom } from '@/core/kit/numerics';
import { NO_REQUIREMENT, rankResins, SHIPPED_SHELF, type Requirement, type ResinFile } from '@/core/resin';

const VANE: Requirement = {
  ...NO_REQUIREMENT,
  serviceMax_C: 60,
  stress_MPa: 0.6,
  strainMax: 0.03,
  washWith: ['alcohol'],
  room_C: 22,
  smallestFeature_mm: 0.8,
};

/** Shipped sheets over and over, each value moved a little, so that no two are alike. */
function shelfOf(count: number): ResinFile[] {
  const random = seededRandom(count);
  return Array.from({ length: count }, (_, i) => {
    const { sheet } = SHIPPED_SHELF[i % SHIPPED_SHELF.length];
    const quotes = sheet.quotes.map((quote) => ({
      ...quote,
      value: quote.value * (0.8 + 0.4 * random.uniform()),
    }));
    return { name: `R${i}`, sheet: { ...sheet, quotes }, proofs: [] };
  });
}

function medianMs(run: () => void): number {
  const times = Array.from({ length: 9 }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[4];
}

console.log('resins   rank, ms   sort of as many numbers ×100, ms   ratio');
for (const count of [8, 100, 1000, 5000, 20_000]) {
  const shelf = shelfOf(count);
  const numbers = Float64Array.from({ length: count * 100 }, (_, i) => Math.sin(i));
  const rank = medianMs(() => rankResins(shelf, VANE));
  const sort = medianMs(() => numbers.slice().sort());
  console.log(
    `${String(count).padStart(6)} ${rank.toFixed(1).padStart(10)} ${sort.toFixed(1).padStart(20)} ${(rank / sort).toFixed(2).padStart(14)}`,
  );
}
