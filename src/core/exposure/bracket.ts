import { normalCdf, Z_95 } from '@/core/kit/numerics';
import { EDGE_SLOPE } from '@/core/signature';
import { fail, ok, type Result } from '@/core/kit';

/** What became of one small gauge of a bracket. */
export interface BracketOutcome {
  readonly exposureS: number;
  /** It is whole and stayed on the plate; `lost` ones tell nothing else. */
  readonly held: boolean;
  /** Its narrow slots closed. */
  readonly bridged?: boolean;
  /** Growth of its edges by the caliper, mm on each face; the sd of this reading alone. */
  readonly edge?: { readonly mm: number; readonly sdMm: number };
}

/** Where the exposure is thought to be before any gauge was printed, and the slots that tell when it is too long. */
export interface BracketAsk {
  readonly lowS: number;
  readonly highS: number;
  readonly slotMm: number;
  /** Sd of the error that all edge readings share, mm: bias of the caliper, unknown shrinkage. Default 0. */
  readonly sharedSdMm?: number;
  readonly outcomes: readonly BracketOutcome[];
}

export type BracketIssue =
  | { readonly code: 'badExposure'; readonly exposureS: number }
  | { readonly code: 'lowAboveHigh'; readonly lowS: number; readonly highS: number }
  | { readonly code: 'badSlot'; readonly slotMm: number }
  | { readonly code: 'badSd'; readonly exposureS: number };

/** Result of a bracket for one exposure. */
export interface ExposureChance {
  readonly exposureS: number;
  /** That it holds. */
  readonly holds: number;
  /** That it holds, and edges are within 0.03 mm of what is drawn. */
  readonly good: number;
  readonly edgeMm: number;
  readonly edgeSdMm: number;
}

export interface BracketVerdict {
  readonly best: ExposureChance;
  /** Over the range that was looked at, from short to long. */
  readonly along: readonly ExposureChance[];
  /** What to print next, short to long; undefined if the best one is certain enough. */
  readonly next?: readonly number[];
  /** All were lost, or all of those that held closed their slots: the answer lies beyond. */
  readonly beyond?: 'longer' | 'shorter';
}

/** Edges this close to the drawing are as good as true, mm on each face. */
const TRUE_MM = 0.03;
const SURE = 0.9;
/** From the exposure that holds to the one at which edges neither grow nor shrink: ln of the ratio. */
const HOLD_TO_TRUE = { mean: 0.35, sd: 0.25 } as const;
/** Softness of holding, ln of exposure; of closing and of being true, mm. */
const SOFT = { hold: 0.06, slotMm: 0.015, trueMm: 0.004 } as const;
const LEAST_SD_LN = 0.25;
const NODES = { zero: 41, hold: 11, slope: 11 } as const;
const CANDIDATES = 61;
const LONGEST_S = 3600;

/** So many small gauges at exposures in equal ratio, the middle one at `middleS`. */
export function bracketExposures(middleS: number, ratio: number, count = 3): number[] {
  return Array.from({ length: count }, (_, i) => middleS * ratio ** (i - (count - 1) / 2));
}

/** Nodes of a normal over ± three and a half of its sd, with the ln of their densities. */
function nodesOf(mean: number, sd: number, count: number): readonly (readonly [value: number, ln: number])[] {
  return Array.from({ length: count }, (_, i) => {
    const z = 3.5 * ((2 * i) / (count - 1) - 1);
    return [mean + z * sd, (-z * z) / 2] as const;
  });
}

/**
 * Weights over the exposure at which edges are true × how much shorter one holds × slope of growth. What an exposure does
 * hangs on two of the three at a time: whether it holds on the first two, its edges on the first and the last.
 */
class BracketGrid {
  private readonly zero: ReturnType<typeof nodesOf>;
  private readonly apart = nodesOf(HOLD_TO_TRUE.mean, HOLD_TO_TRUE.sd, NODES.hold);
  private readonly slope = nodesOf(Math.log(EDGE_SLOPE.medianMm), EDGE_SLOPE.sdLn, NODES.slope);
  private readonly weights = new Float64Array(NODES.zero * NODES.hold * NODES.slope);

  constructor({ lowS, highS, slotMm, sharedSdMm = 0, outcomes }: BracketAsk) {
    const middle = (Math.log(lowS) + Math.log(highS)) / 2;
    const sd = Math.max(LEAST_SD_LN, Math.log(highS / lowS) / (2 * Z_95));
    this.zero = nodesOf(middle, sd, NODES.zero);
    this.each((at, z, h, s) => {
      this.weights[at] = this.zero[z][1] + this.apart[h][1] + this.slope[s][1];
    });
    for (const outcome of outcomes) this.take(outcome, slotMm);
    this.takeEdges(outcomes, sharedSdMm);
    const highest = this.weights.reduce((most, ln) => Math.max(most, ln), -Infinity);
    const total = this.weights.reduce((sum, ln) => sum + Math.exp(ln - highest), 0);
    for (let at = 0; at < this.weights.length; at++)
      this.weights[at] = Math.exp(this.weights[at] - highest) / total;
  }

  private each(visit: (at: number, zero: number, hold: number, slope: number) => void): void {
    let at = 0;
    for (let z = 0; z < NODES.zero; z++)
      for (let h = 0; h < NODES.hold; h++) for (let s = 0; s < NODES.slope; s++) visit(at++, z, h, s);
  }

  /** That an exposure holds, by zero and hold. */
  private holdsAt(ln: number): Float64Array {
    return this.table(NODES.hold, (z, h) => normalCdf((ln - this.zero[z][0] + this.apart[h][0]) / SOFT.hold));
  }

  /** Growth of edges at an exposure, mm, by zero and slope. */
  private edgesAt(ln: number): Float64Array {
    return this.table(NODES.slope, (z, s) => Math.exp(this.slope[s][0]) * (ln - this.zero[z][0]));
  }

  private table(width: number, value: (zero: number, other: number) => number): Float64Array {
    return Float64Array.from({ length: NODES.zero * width }, (_, i) =>
      value(Math.floor(i / width), i % width),
    );
  }

  private take({ exposureS, held, bridged }: BracketOutcome, slotMm: number): void {
    const ln = Math.log(exposureS);
    const sure = (chance: number) => Math.log(Math.max(1e-12, chance));
    const byHold = this.holdsAt(ln).map((chance) => sure(held ? chance : 1 - chance));
    // Of a lost one nothing else is known.
    const byEdge = this.edgesAt(ln).map((grows) => {
      if (!held || bridged === undefined) return 0;
      const closes = normalCdf((grows - slotMm / 2) / SOFT.slotMm);
      return sure(bridged ? closes : 1 - closes);
    });
    this.each((at, z, h, s) => {
      this.weights[at] += byHold[z * NODES.hold + h] + byEdge[z * NODES.slope + s];
    });
  }

  /** All readings of edges at once: with what they share integrated out, a sum of squares less what a common shift explains. */
  private takeEdges(outcomes: readonly BracketOutcome[], sharedSdMm: number): void {
    const [first, second] = [0, 0].map(() => new Float64Array(NODES.zero * NODES.slope));
    let weight = 0;
    for (const { exposureS, held, edge } of outcomes) {
      if (!held || edge === undefined) continue;
      const own = 1 / (edge.sdMm * edge.sdMm);
      weight += own;
      this.edgesAt(Math.log(exposureS)).forEach((grows, i) => {
        first[i] += own * (edge.mm - grows);
        second[i] += own * (edge.mm - grows) ** 2;
      });
    }
    const explained = sharedSdMm === 0 ? 0 : 1 / (weight + 1 / (sharedSdMm * sharedSdMm));
    this.each((at, z, _h, s) => {
      const i = z * NODES.slope + s;
      this.weights[at] -= (second[i] - explained * first[i] ** 2) / 2;
    });
  }

  chanceAt(ln: number): ExposureChance {
    const byHold = this.holdsAt(ln);
    const edges = this.edgesAt(ln);
    const isTrue = edges.map(
      (edge) => normalCdf((TRUE_MM - edge) / SOFT.trueMm) - normalCdf((-TRUE_MM - edge) / SOFT.trueMm),
    );
    let [holds, good, mean, square] = [0, 0, 0, 0];
    this.each((at, z, h, s) => {
      const weight = this.weights[at];
      const own = weight * byHold[z * NODES.hold + h];
      const edge = edges[z * NODES.slope + s];
      holds += own;
      good += own * isTrue[z * NODES.slope + s];
      mean += weight * edge;
      square += weight * edge * edge;
    });
    const edgeSdMm = Math.sqrt(Math.max(0, square - mean * mean));
    return { exposureS: Math.exp(ln), holds, good, edgeMm: mean, edgeSdMm };
  }

  /** Sd of ln of the exposure at which edges are true. */
  spreadOfZero(): number {
    let [mean, square] = [0, 0];
    this.each((at, z) => {
      mean += this.weights[at] * this.zero[z][0];
      square += this.weights[at] * this.zero[z][0] ** 2;
    });
    return Math.sqrt(Math.max(0, square - mean * mean));
  }
}

function findBracketIssue({ lowS, highS, slotMm, outcomes }: BracketAsk): BracketIssue | undefined {
  const all = [lowS, highS, ...outcomes.map(({ exposureS }) => exposureS)];
  const bad = all.find((seconds) => !(seconds > 0 && seconds < LONGEST_S));
  if (bad !== undefined) return { code: 'badExposure', exposureS: bad };
  if (lowS > highS) return { code: 'lowAboveHigh', lowS, highS };
  if (!(slotMm > 0)) return { code: 'badSlot', slotMm };
  const unsure = outcomes.find(({ edge }) => edge !== undefined && !(edge.sdMm > 0));
  return unsure === undefined ? undefined : { code: 'badSd', exposureS: unsure.exposureS };
}

function beyondOf(outcomes: readonly BracketOutcome[]): BracketVerdict['beyond'] {
  if (outcomes.length === 0) return undefined;
  const held = outcomes.filter(({ held: isHeld }) => isHeld);
  if (held.length === 0) return 'longer';
  return held.every(({ bridged }) => bridged === true) ? 'shorter' : undefined;
}

/**
 * Returns the exposure that holds and draws true sizes, from the small gauges of a bracket: a grid over the exposure
 * with true edges, the exposure from which it holds, and the slope of edge growth (docs/methods.md §5).
 */
export function readBracket(ask: BracketAsk): Result<BracketVerdict, BracketIssue> {
  const issue = findBracketIssue(ask);
  if (issue !== undefined) return fail(issue);
  const grid = new BracketGrid(ask);
  const all = [ask.lowS, ask.highS, ...ask.outcomes.map(({ exposureS }) => exposureS)].map(Math.log);
  const [from, to] = [Math.min(...all) - Math.LN2, Math.max(...all) + Math.LN2];
  const along = Array.from({ length: CANDIDATES }, (_, i) =>
    grid.chanceAt(from + ((to - from) * i) / (CANDIDATES - 1)),
  );
  const best = along.reduce((most, each) => (each.good > most.good ? each : most));
  const ratio = Math.exp(Math.min(0.5, Math.max(0.06, 1.2 * grid.spreadOfZero())));
  return ok({
    best,
    along,
    next: best.good >= SURE ? undefined : bracketExposures(best.exposureS, ratio),
    beyond: beyondOf(ask.outcomes),
  });
}
