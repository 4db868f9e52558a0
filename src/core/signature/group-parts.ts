import { type ColumnKey } from './columns';
import { choleskyInPlace, forwardSolve } from '@/core/kit/numerics';
import type { Group } from './groups';
import { type PlacedRow, placeRow, sharedParts } from './layout';
import type { Scatter } from './scatter-grid';
import { type Sites, type Try } from './tries';

/** A group with everything that does not depend on the scatters. Rows that were read come first, then those of words. */
export interface GroupParts {
  readonly rows: readonly PlacedRow[];
  /** How many rows were read. */
  readonly readCount: number;
  readonly wordCount: number;
  /** Names of the shared columns that its rows touch. */
  readonly keys: readonly ColumnKey[];
  /** Over those columns, column by column (keys × rows). */
  readonly design: Float64Array;
  /** Offsets read, mm, and variances of their noise, mm². */
  readonly offsets: Float64Array;
  readonly noise: Float64Array;
  /** Prior covariance of rows, rows × rows row-major: repeatable deviation·τ_b² + chance·τ_p² + fixed. */
  readonly habit: Uint8Array;
  readonly chance: Uint8Array;
  readonly fixed: Float64Array;
  /** What it leaves over the shared columns, by node: see eliminate. Kept from one estimate to the next. */
  readonly left: Map<number, Left>;
}

/** What a group leaves at a node when its readings are eliminated. */
export interface Left {
  /**
   * Information over its shared columns (lower triangle by rows), information vector, and Σ squares + log determinant
   * last: keys·(keys + 1)/2 + keys + 1 numbers.
   */
  readonly information: Float64Array;
  /** The sizes that its hand fits are about; left out if there are none. */
  readonly words?: WordSizes;
}

/** Sizes that hand fits are about, given the shared columns and the readings of their group. */
export interface WordSizes {
  /** Over the group's keys, words × keys row-major. */
  readonly coefficients: Float64Array;
  /** Information from the readings about each, apart from the columns, mm. */
  readonly ownMm: Float64Array;
  /** Words × words row-major, mm². */
  readonly covariance: Float64Array;
}

export function partsOf(group: Group<Try>, isShared: (key: ColumnKey) => boolean): GroupParts {
  const rows = [...group.rows, ...group.words.map(({ row }) => row)].map((row) => placeRow(row, isShared));
  const size = rows.length;
  const keys = [...new Set(rows.flatMap(({ shared }) => shared.map(([key]) => key)))];
  const columnOf = new Map(keys.map((key, i) => [key, i]));
  const design = new Float64Array(keys.length * size);
  const habit = new Uint8Array(size * size);
  const chance = new Uint8Array(size * size);
  const fixed = new Float64Array(size * size);
  rows.forEach((row, i) => {
    for (const [key, value] of row.shared) design[columnOf.get(key)! * size + i] = value;
    for (let j = 0; j <= i; j++) {
      const parts = sharedParts(row, rows[j]);
      for (const at of [i * size + j, j * size + i]) {
        habit[at] = parts.habit;
        chance[at] = parts.chance;
        fixed[at] = parts.fixed;
      }
    }
  });
  return {
    rows,
    readCount: group.rows.length,
    wordCount: group.words.length,
    keys,
    design,
    offsets: Float64Array.from(group.rows, ({ offsetMm }) => offsetMm),
    noise: Float64Array.from(group.rows, ({ variance }) => variance),
    habit,
    chance,
    fixed,
    left: new Map(),
  };
}

/** The variance of a word that says nothing, mm². */
const SAYS_NOTHING = 1e9;

/** Rows of a group at a node: covariance of their errors factored, design and offsets whitened by it. */
export interface WhitenedGroup {
  /** How many rows are in it: those that were read, or the words' too. */
  readonly size: number;
  /** L, size × size row-major, lower triangle. */
  readonly factor: Float64Array;
  /** L⁻¹·design, column by column (keys × size). */
  readonly design: Float64Array;
  /** L⁻¹·offsets. */
  readonly offsets: Float64Array;
}

/**
 * Whitens the rows of a group given the shared columns: repeatable deviations, chances, drift, temperature and noise
 * are their errors.
 */
export function whiten(parts: GroupParts, { tauB, tauP }: Scatter, sites: Sites = []): WhitenedGroup {
  const { readCount, habit, chance, fixed } = parts;
  const stride = parts.rows.length;
  const size = readCount + sites.length;
  const factor = new Float64Array(size * size);
  for (let i = 0; i < size; i++) {
    for (let j = 0; j <= i; j++) {
      const at = i * stride + j;
      factor[i * size + j] = fixed[at] + tauB * tauB * habit[at] + tauP * tauP * chance[at];
    }
    factor[i * size + i] += i < readCount ? parts.noise[i] : (sites[i - readCount]?.variance ?? SAYS_NOTHING);
  }
  // Noise is never nothing, so this is not one that data can bring about.
  if (choleskyInPlace(factor, size) >= 0) throw new RangeError('whiten: covariance is not positive definite');
  const design = new Float64Array(parts.keys.length * size);
  for (let key = 0; key < parts.keys.length; key++) {
    for (let i = 0; i < size; i++) design[key * size + i] = parts.design[key * stride + i];
    forwardSolve(factor, size, design, key * size);
  }
  const offsets = new Float64Array(size);
  for (let i = 0; i < size; i++)
    offsets[i] = i < readCount ? parts.offsets[i] : (sites[i - readCount]?.offsetMm ?? 0);
  forwardSolve(factor, size, offsets);
  return { size, factor, design, offsets };
}

function informationOf(keyCount: number, { size, factor, design, offsets }: WhitenedGroup): Float64Array {
  const left = new Float64Array((keyCount * (keyCount + 1)) / 2 + keyCount + 1);
  let at = 0;
  for (let a = 0; a < keyCount; a++) {
    for (let b = 0; b <= a; b++) {
      let dot = 0;
      for (let i = 0; i < size; i++) dot += design[a * size + i] * design[b * size + i];
      left[at++] = dot;
    }
  }
  for (let a = 0; a < keyCount; a++) {
    let dot = 0;
    for (let i = 0; i < size; i++) dot += design[a * size + i] * offsets[i];
    left[at++] = dot;
  }
  let misfit = 0;
  for (let i = 0; i < size; i++) misfit += offsets[i] ** 2 + 2 * Math.log(factor[i * size + i]);
  left[at] = misfit;
  return left;
}

/** What a group's rows tell of one size when the shared columns are given. */
export interface GivenColumns {
  /** Part of its mean beside the columns, mm. */
  readonly ownMm: number;
  /** What is taken from its coefficients, over the group's keys. */
  readonly taken: Float64Array;
  /** L⁻¹·covariance with the rows: its square is taken from the variance. */
  readonly whitened: Float64Array;
}

/** `covariance`: prior covariance of the size with each row of the group, mm²; is used up. */
export function givenColumns(
  keyCount: number,
  { size, factor, design, offsets }: WhitenedGroup,
  covariance: Float64Array,
): GivenColumns {
  forwardSolve(factor, size, covariance);
  let ownMm = 0;
  for (let i = 0; i < size; i++) ownMm += covariance[i] * offsets[i];
  const taken = new Float64Array(keyCount);
  for (let key = 0; key < keyCount; key++)
    for (let i = 0; i < size; i++) taken[key] += covariance[i] * design[key * size + i];
  return { ownMm, taken, whitened: covariance };
}

/** Prior covariance of two rows of a group, mm². */
function rowCovariance(parts: GroupParts, a: number, b: number, { tauB, tauP }: Scatter): number {
  const at = a * parts.rows.length + b;
  return parts.fixed[at] + tauB * tauB * parts.habit[at] + tauP * tauP * parts.chance[at];
}

function wordSizes(parts: GroupParts, scatter: Scatter, whitened: WhitenedGroup): WordSizes {
  const { readCount, rows, keys, wordCount } = parts;
  const sizes = {
    coefficients: new Float64Array(wordCount * keys.length),
    ownMm: new Float64Array(wordCount),
    covariance: new Float64Array(wordCount ** 2),
  };
  const told: Float64Array[] = [];
  for (let word = 0; word < wordCount; word++) {
    const row = readCount + word;
    const shared = Float64Array.from({ length: readCount }, (_, i) => rowCovariance(parts, row, i, scatter));
    const given = givenColumns(keys.length, whitened, shared);
    sizes.ownMm[word] = given.ownMm;
    keys.forEach((_, key) => {
      sizes.coefficients[word * keys.length + key] = parts.design[key * rows.length + row] - given.taken[key];
    });
    told.push(given.whitened);
    for (let other = 0; other <= word; other++) {
      let value = rowCovariance(parts, row, readCount + other, scatter);
      for (let k = 0; k < readCount; k++) value -= told[word][k] * told[other][k];
      sizes.covariance[word * wordCount + other] = sizes.covariance[other * wordCount + word] = value;
    }
  }
  return sizes;
}

/** Eliminates the readings of a group at a node. */
export function eliminate(parts: GroupParts, scatter: Scatter): Left {
  const whitened = whiten(parts, scatter);
  const information = informationOf(parts.keys.length, whitened);
  return parts.wordCount === 0
    ? { information }
    : { information, words: wordSizes(parts, scatter, whitened) };
}
