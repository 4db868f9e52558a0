import { normalCdf, normalDensity } from '@/core/kit/numerics';
import { FIT_WORDS, standardMeaning, type FitWord } from './tries';

/** A word said of a feature that the caliper read as well. */
export interface WordOnSize {
  readonly word: FitWord;
  /** Hole − shaft as measured, mm. */
  readonly clearanceMm: number;
  readonly u_mm: number;
  readonly mateMm: number;
  readonly wishedMm?: readonly [number, number];
}

/** What this shop means by a word: how far from the start value, on the diameter at 10 mm. */
export interface WordMeaning {
  readonly shiftMm: number;
  readonly sdMm: number;
  readonly count: number;
}

/** How far a shop's use of a word may lie from the start values, mm at 10 mm. */
const SHIFT_SD_MM = 0.04;

/**
 * The shop's own meaning of each word, where word and caliper met: a normal shift of the start value, updated in order;
 * end words, which are one-sided, by moment match. Without a meeting the start value stands with its prior spread.
 * Source: conjugate normal update; T. P. Minka (2001) for the probit site, as in tries.
 */
export function learnMeanings(said: readonly WordOnSize[]): Readonly<Record<FitWord, WordMeaning>> {
  const learnt = FIT_WORDS.map((word): [FitWord, WordMeaning] => {
    let [mean, variance, count] = [0, SHIFT_SD_MM ** 2, 0];
    for (const { clearanceMm, u_mm, mateMm, wishedMm } of said.filter((each) => each.word === word)) {
      const scale = Math.cbrt(mateMm / 10);
      const { at, s, side } = standardMeaning({ word, mateMm, wishedMm });
      const miss = (clearanceMm - at) / scale;
      const noise = (s / scale) ** 2 + (u_mm / scale) ** 2;
      const t = Math.sqrt(variance + noise);
      count += 1;
      if (side === 0) {
        const gain = variance / (variance + noise);
        mean += gain * (miss - mean);
        variance *= 1 - gain;
        continue;
      }
      // L = Φ(side·(miss − shift)/s): the shift is pulled down by a rattle tighter than thought, and so on.
      const z = (side * (miss - mean)) / t;
      const lambda = z < -30 ? -z : normalDensity(z) / Math.max(normalCdf(z), 1e-300);
      mean -= (side * variance * lambda) / t;
      variance -= (variance * variance * lambda * (lambda + z)) / (t * t);
    }
    return [word, { shiftMm: mean, sdMm: Math.sqrt(variance), count }];
  });
  return Object.fromEntries(learnt) as Record<FitWord, WordMeaning>;
}

/** A two-sided word on a size as a normal reading of the shift: its value and precision, at 10 mm. */
function readingOfShift({ word, clearanceMm, u_mm, mateMm, wishedMm }: WordOnSize) {
  const scale = Math.cbrt(mateMm / 10);
  const { at, s } = standardMeaning({ word, mateMm, wishedMm });
  return { miss: (clearanceMm - at) / scale, precision: (scale * scale) / (s * s + u_mm * u_mm) };
}

/**
 * Returns the reading of each occurrence of the same word without itself, in order. In closed form for the words that
 * state the clearance from both sides; the extreme words are learned again.
 */
export function meaningsWithout(said: readonly WordOnSize[]): WordMeaning[] {
  if (said.length === 0) return [];
  const [{ word, mateMm, wishedMm }] = said;
  if (standardMeaning({ word, mateMm, wishedMm }).side !== 0)
    return said.map((_, i) => learnMeanings(said.filter((_each, j) => j !== i))[word]);
  const readings = said.map(readingOfShift);
  const start = 1 / SHIFT_SD_MM ** 2;
  const total = readings.reduce((sum, { precision }) => sum + precision, start);
  const moment = readings.reduce((sum, { miss, precision }) => sum + miss * precision, 0);
  return readings.map(({ miss, precision }) => ({
    shiftMm: (moment - miss * precision) / (total - precision),
    sdMm: 1 / Math.sqrt(total - precision),
    count: said.length - 1,
  }));
}

/**
 * Returns on which side of the wanted fit a hand fit is: too tight, right, too loose. The extreme words never mean
 * right.
 */
export function sideOfWord(
  word: FitWord,
  mateMm: number,
  wishedMm?: readonly [number, number],
): 'tight' | 'right' | 'loose' {
  if (word === 'right') return 'right';
  if (word === 'wontEnter') return 'tight';
  if (word === 'rattles') return 'loose';
  const { at } = standardMeaning({ word, mateMm, wishedMm });
  const [low, high] = standardMeaning({ word: 'right', mateMm, wishedMm }).band;
  return at < low ? 'tight' : at > high ? 'loose' : 'right';
}
