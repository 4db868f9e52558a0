/**
 * Measures whether the gap recommended by one gap test comes free, and how much play that costs. Printers of
 * core/simulated; each fuses gaps that print narrower than its own limit, uniform 0.04 … 0.22 mm, with a width uniform
 * 0.008 … 0.03 mm: neither follows the lognormal prior of the test. A test with nine steps from 0.10 by 0.05.
 * Everything here was fixed before the first run. Usage: npm run bench:ladder [-- PRINTERS]
 */
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import {
  estimateGapTest,
  gapForChance,
  summariseGapTest,
  WANTED_FREE,
  type GapStep,
} from '@/core/fit/mating';
import { stepsFrom } from '@/core/fit/gauges';
import { chanceToFree, drawBridging, drawPrinter, printedGapOf } from '@/core/simulated';

const GAPS = stepsFrom(0.1, 0.05, 9);
function play(seed: number) {
  const printer = drawPrinter(seed);
  const random = seededRandom(seedFrom(seed, 'ladder'));
  const bridging = drawBridging(random);
  const printedGap = (drawnMm: number) => printedGapOf(printer, 'plane', drawnMm);
  const free = (drawnMm: number) => chanceToFree(bridging, printedGap(drawnMm));
  const climb = (gaps: readonly number[]): GapStep[] =>
    gaps.map((gapMm) => ({ gapMm, outcome: random.uniform() < free(gapMm) ? 'free' : 'fused' }));
  const first = climb(GAPS);
  const { g50Mm } = summariseGapTest(estimateGapTest(first));
  const both = [...first, ...climb(stepsFrom(Math.max(0.04, g50Mm - 0.08), 0.02, 9))];
  let [low, high] = [0, 3];
  while (high - low > 1e-6) {
    const middle = (low + high) / 2;
    if (free(middle) < WANTED_FREE) low = middle;
    else high = middle;
  }
  return [first, both].map((rungs) => {
    const recommendedMm = gapForChance(estimateGapTest(rungs), WANTED_FREE);
    const printed = printedGap(recommendedMm);
    return {
      chance: free(recommendedMm),
      drawnRatio: recommendedMm / high,
      playRatio: printed / printedGap(high),
      within: printed <= 1.5 * printedGap(high),
    };
  });
}

type Game = ReturnType<typeof play>[number];

const printers = Number(process.argv[2] ?? 400);
const games = Array.from({ length: printers }, (_, i) => play(i + 1));
['one test with nine steps', 'a second test by 0.02 mm around its threshold'].forEach((title, which) => {
  const mean = (of: (game: Game) => number) =>
    games.reduce((sum, game) => sum + of(game[which]), 0) / printers;
  const withError = (of: (game: Game) => number) => {
    const middle = mean(of);
    const error = Math.sqrt(mean((game) => (of(game) - middle) ** 2) / printers);
    return `${middle.toFixed(3)} ± ${error.toFixed(3)}`;
  };
  console.log(`${printers} printers, ${title}:`);
  console.log(`  chance to free itself at the recommended gap: ${withError(({ chance }) => chance)}`);
  console.log(`  its play over that of the true 95 % gap: ${withError(({ playRatio }) => playRatio)}`);
  console.log(`  share of printers with that within 1.5: ${withError(({ within }) => Number(within))}`);
  console.log(`  its drawn gap over the true 95 % gap: ${withError(({ drawnRatio }) => drawnRatio)}`);
});
