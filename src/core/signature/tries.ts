import { normalCdf, normalDensity } from '@/core/kit/numerics';
import type { FeatureKind, PartState } from '@/core/measure';
import type { WordRow } from './groups';
import type { PlatePlace } from './law';
import { type ModelRow, rowOf } from './rows';
import type { Frame } from './frame';

/** What each word of a group amounts to at a node: a reading of its offset, mm, with a variance, mm²; undefined: nothing. */
export type Sites = readonly ({ readonly offsetMm: number; readonly variance: number } | undefined)[];

/** What the hand says when a part meets its mate, from tight to loose. */
export const FIT_WORDS = ['wontEnter', 'needsForce', 'right', 'slides', 'rattles'] as const;
export type FitWord = (typeof FIT_WORDS)[number];

/** A word of fit about one printed feature on a mate whose size is known. */
export interface Try extends FeatureKind {
  readonly feature: string;
  readonly print: string;
  /** The run of the printer that it came out of; see SignatureReading. */
  readonly run?: string;
  readonly drawnMm: number;
  /** State of the print when it was tried; default cured. */
  readonly state?: PartState;
  readonly coatMm?: number;
  readonly place?: PlatePlace;
  readonly word: FitWord;
  readonly mateMm: number;
  readonly mateU_mm: number;
  /** The wanted clearance, on the diameter, mm; undefined: slip, 0.06 … 0.16 at 10 mm. */
  readonly wishedMm?: readonly [number, number];
  /** How far this shop's use of the word lies from the start value, mm at 10 mm; see learnMeanings. */
  readonly shiftMm?: number;
}

/** How a word reads the clearance c: a normal around `at`, or one-sided L(c) = Φ(side·(c − at)/s). */
interface WordReading {
  readonly at: number;
  readonly s: number;
  readonly side: -1 | 0 | 1;
  /** The wanted fit class, mm. */
  readonly band: readonly [number, number];
}

const SLIP_AT_10MM = [0.06, 0.16] as const;
const SOFT_EDGE_MM = 0.03;

/** The start values (docs/methods.md §2), scaled to the mate. */
export function standardMeaning({
  word,
  mateMm,
  wishedMm,
}: Pick<Try, 'word' | 'mateMm' | 'wishedMm'>): WordReading {
  const scale = Math.cbrt(mateMm / 10);
  const band = wishedMm ?? ([SLIP_AT_10MM[0] * scale, SLIP_AT_10MM[1] * scale] as const);
  const [low, high] = band;
  switch (word) {
    case 'wontEnter':
      return { at: -0.05 * scale, s: 0.03 * scale, side: -1, band };
    case 'needsForce':
      return { at: -0.03 * scale, s: 0.03 * scale, side: 0, band };
    case 'right':
      return {
        at: (low + high) / 2,
        s: Math.hypot((high - low) / Math.sqrt(12), SOFT_EDGE_MM),
        side: 0,
        band,
      };
    case 'slides':
      return { at: 0.1 * scale, s: 0.05 * scale, side: 0, band };
    case 'rattles':
      return { at: Math.max(0.2 * scale, high), s: 0.06 * scale, side: 1, band };
  }
}

/** The same as this shop means it. */
function meaningOf(attempt: Try): WordReading {
  const standard = standardMeaning(attempt);
  return { ...standard, at: standard.at + (attempt.shiftMm ?? 0) * Math.cbrt(attempt.mateMm / 10) };
}

/** The row that a hand fit is about: the true size, so no instrument bias is in it. */
export function rowOfTry(attempt: Try, frame: Frame): ModelRow {
  const { feature, print, run, drawnMm, state = 'cured', place, coatMm } = attempt;
  return rowOf({ feature, print, run, kind: attempt, drawnMm, place, state, coatMm }, frame);
}

/** A hand fit applied at one node: the mean and variance of the equivalent printed size, and its likelihood. */
interface Site {
  readonly meanMm: number;
  readonly variance: number;
  readonly logLikelihood: number;
}

/**
 * Moment match of one word on a clearance c ~ N(m, v), as a normal site on c.
 * "needs force" on a clearance already thought tighter adds nothing: a word never pulls the size the wrong way.
 * Source: T. P. Minka, Expectation Propagation (2001), the probit site.
 */
function siteOf(
  meaning: WordReading,
  uMate: number,
  mean: number,
  variance: number,
  word: FitWord,
): Site | undefined {
  const noise = meaning.s ** 2 + uMate ** 2;
  const t = Math.sqrt(variance + noise);
  if (meaning.side === 0) {
    if (word === 'needsForce' && mean < meaning.at) return undefined;
    const z = (mean - meaning.at) / t;
    return { meanMm: meaning.at, variance: noise, logLikelihood: -0.5 * z * z - Math.log(t) };
  }
  const z = (meaning.side * (mean - meaning.at)) / t;
  const mass = Math.max(normalCdf(z), 1e-300);
  const lambda = z < -30 ? -z : normalDensity(z) / mass;
  const newMean = mean + (meaning.side * variance * lambda) / t;
  const newVariance = variance - (variance * variance * lambda * (lambda + z)) / (t * t);
  const precision = 1 / newVariance - 1 / variance;
  if (!(precision > 1e-12)) return undefined;
  const siteMean = (newMean / newVariance - mean / variance) / precision;
  return { meanMm: siteMean, variance: 1 / precision, logLikelihood: Math.log(mass) };
}

/**
 * Moments of the offsets that hand fits are about, given everything before: means, mm, and covariance, row-major, mm².
 */
export interface WordMoments {
  readonly means: Float64Array;
  readonly covariance: Float64Array;
}

/**
 * Offset that a hand fit states when its clearance is `clearanceMm`, mm: hole − shaft, the feature being one of the
 * two.
 */
function offsetAt(attempt: Try, clearanceMm: number): number {
  const side = attempt.sense === 'inside' ? 1 : -1;
  return attempt.mateMm + side * clearanceMm - attempt.drawnMm;
}

/**
 * Takes words in one after another (assumed-density filtering): each sees the moments as those before it left them. The
 * moments are used up. Gives what each word amounts to, and the log likelihood of all.
 */
export function takeWords(
  words: readonly WordRow<Try>[],
  { means, covariance }: WordMoments,
): { readonly sites: Sites; readonly logLikelihood: number } {
  const count = words.length;
  let logLikelihood = 0;
  const sites = words.map(({ word: attempt, row: { knownMm } }, at) => {
    const side = attempt.sense === 'inside' ? 1 : -1;
    const clearance = side * (attempt.drawnMm + means[at] + knownMm - attempt.mateMm);
    const variance = covariance[at * count + at];
    const site = siteOf(meaningOf(attempt), attempt.mateU_mm, clearance, variance, attempt.word);
    if (site === undefined) return undefined;
    logLikelihood += site.logLikelihood;
    const offsetMm = offsetAt(attempt, site.meanMm) - knownMm;
    const miss = offsetMm - means[at];
    const total = variance + site.variance;
    const shared = Float64Array.from(means, (_, i) => covariance[i * count + at]);
    for (let i = 0; i < count; i++) {
      means[i] += (shared[i] * miss) / total;
      for (let j = 0; j < count; j++) covariance[i * count + j] -= (shared[i] * shared[j]) / total;
    }
    return { offsetMm, variance: site.variance };
  });
  return { sites, logLikelihood };
}

/** One order for words, whatever order they were said in. */
export function compareTries(a: Try, b: Try): number {
  const keyOf = ({ feature, print, state, word, mateMm }: Try) =>
    JSON.stringify([feature, print, state, word, mateMm]);
  return keyOf(a) < keyOf(b) ? -1 : 1;
}
