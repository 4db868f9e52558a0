import { normalCdf, normalDensity } from '@/core/numerics';
import type { FeatureKind } from '@/core/metrology';
import { latentEntries, prepareData, type Model, type ModelData, type ModelRow } from './model';
import { latentSize, solveNode, type Node, type Scatter } from './node';

/** What the hand says when a part meets its mate, from tight to loose. */
export const FIT_WORDS = ['wontEnter', 'needsForce', 'right', 'slides', 'rattles'] as const;
export type FitWord = (typeof FIT_WORDS)[number];

/** A word of fit about one printed feature on a mate whose size is known. */
export interface Try extends FeatureKind {
  readonly feature: string;
  readonly print: string;
  readonly drawnMm: number;
  readonly word: FitWord;
  readonly mateMm: number;
  readonly mateU_mm: number;
  /** The clearance wished for, on the diameter, mm; undefined: slip, 0.06 … 0.16 at 10 mm. */
  readonly wishedMm?: readonly [number, number];
  /** How far this shop's use of the word lies from the start value, mm at 10 mm; see learnMeanings. */
  readonly shiftMm?: number;
}

/** How a word reads the clearance c: a normal around `at`, or one-sided L(c) = Φ(side·(c − at)/s). */
interface WordReading {
  readonly at: number;
  readonly s: number;
  readonly side: -1 | 0 | 1;
  /** The class wished, mm. */
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

/** The row that a try adds to the model; a word reads the true size, so no instrument's bias is in it. */
export function rowOfTry(attempt: Try): ModelRow {
  return { feature: attempt.feature, print: attempt.print, kind: attempt, drawnMm: attempt.drawnMm };
}

/** A word taken in at one node: the mean and variance of the printed size that it amounts to, and its likelihood. */
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

/** Rows of the model that are tries, each with its try. */
export interface TryRow {
  readonly row: number;
  readonly attempt: Try;
}

/**
 * One node with the words taken in one after another, in a fixed order (assumed-density filtering).
 * `data` says nothing at the rows of tries; the node's own data come back with their sites filled in.
 */
export function solveNodeWithTries(
  model: Model,
  data: ModelData,
  scatter: Scatter,
  tries: readonly TryRow[],
): { readonly node: Node; readonly data: ModelData; readonly wordsLogLikelihood: number } {
  let own = data;
  let node = solveNode(model, own, scatter);
  const bare = node.logLikelihood;
  let wordsLogLikelihood = 0;
  for (const { row, attempt } of tries) {
    const query = {
      ...latentEntries(model, rowOfTry(attempt)),
      feature: model.features.indexOf(attempt.feature),
      print: model.prints.indexOf(attempt.print),
    };
    const size = latentSize(model, own, node, query);
    // Clearance is hole − shaft: the feature itself is the hole when it is an inside one.
    const side = attempt.sense === 'inside' ? 1 : -1;
    const clearance = side * (attempt.drawnMm + size.offsetMm - attempt.mateMm);
    const site = siteOf(meaningOf(attempt), attempt.mateU_mm, clearance, size.variance, attempt.word);
    if (site === undefined) continue;
    const prior = query.columns.reduce(
      (sum, column, i) => sum + query.values[i] * model.priorMean[column],
      0,
    );
    const residual = own.residual.with(row, attempt.mateMm + side * site.meanMm - attempt.drawnMm - prior);
    own = prepareData(model, { residual, variance: own.variance.with(row, site.variance) });
    wordsLogLikelihood += site.logLikelihood;
    node = solveNode(model, own, scatter);
  }
  return { node: { ...node, logLikelihood: bare }, data: own, wordsLogLikelihood };
}
