import type { SeededRandom } from '@/core/kit/numerics';
import { barStiffness, BENCH_LIMITS, GRAVITY, type Bar, type BenchLimits, type BendTest } from '@/core/resin';

/** A bar as it really is, and what it is made of. */
interface TrueBar extends Bar {
  readonly modulusMPa: number;
}

const round = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(6));
const within = (random: SeededRandom, half: number) => (2 * random.uniform() - 1) * half;

/** Scatter of one reading of a pointer against a bent bar, mm. */
const READING_SCATTER_MM = 0.012;
/** Unevenness of a printed bar along its length, mm. */
const BAR_SCATTER_MM = 0.01;

/**
 * Loads a bar as a person with a caliper, a rule and weights would: each instrument is wrong by its own share of its limit,
 * the same for all its readings, and every reading scatters.
 */
export function bendBar(
  bar: TrueBar,
  massesG: readonly number[],
  random: SeededRandom,
  limits: BenchLimits = BENCH_LIMITS,
): BendTest {
  const [caliper, rule, weights] = [limits.caliperMm, limits.spanMm, limits.massShare].map((half) =>
    within(random, half),
  );
  const stiffness = bar.modulusMPa * barStiffness(bar);
  const read = (mm: number) => round(mm + caliper + BAR_SCATTER_MM * random.normal(), limits.resolutionMm);
  const start = 12 + random.uniform();
  return {
    bend: bar.bend,
    spanMm: round(bar.spanMm + rule, 0.1),
    widthsMm: [0, 1, 2].map(() => read(bar.widthMm)),
    thicknessesMm: [0, 1, 2, 3, 4].map(() => read(bar.thicknessMm)),
    steps: massesG.map((massG) => {
      const sag = ((massG / 1000) * GRAVITY * (1 + weights)) / stiffness;
      const readingMm = start + sag + caliper + READING_SCATTER_MM * random.normal();
      return { massG, readingMm: round(readingMm, limits.resolutionMm) };
    }),
    limits,
  };
}
