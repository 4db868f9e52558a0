import type { FeatureKind } from '@/core/metrology';
import { expectOk } from '@/core/result';
import { invertSymmetric } from '@/core/numerics';
import { DRIFT_EDGE_SD_MM, DRIFT_SCALE_SD, driftRow, lawRow, PARAMETER_COUNT, type LawPrior } from './law';
import { instrumentNamed, type Observation } from './observations';
import type { Instruments } from './reading';

/** What enters the linear model as one row: a measured mean, or a word of fit about a printed size. */
export interface ModelRow {
  readonly feature: string;
  readonly print: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  /** Instrument and jaw whose bias is in it; undefined for a pitch, a word, a prediction. */
  readonly biasOf?: string;
  /** Sitting whose unknown warmth is in it, scale error per mm; undefined where it was measured. */
  readonly warmthOf?: Unknown;
}

/** One unknown that readings share, with the standard deviation of its prior. */
interface Unknown {
  readonly key: string;
  readonly sd: number;
}

/**
 * The linear model behind a signature with everything but the two scatters fixed.
 * Latent vector: β (9), then δe and δs of each print, one bias per instrument and jaw, one scale error per sitting of unknown
 * warmth; length `latentCount`.
 */
export interface Model {
  readonly latentCount: number;
  readonly prints: readonly string[];
  readonly biases: readonly { readonly key: string; readonly mpeMm: number }[];
  readonly warmths: readonly Unknown[];
  readonly features: readonly string[];
  readonly rows: readonly ModelRow[];
  readonly priorMean: Float64Array;
  /** Prior precision, latentCount × latentCount row-major. */
  readonly priorPrecision: Float64Array;
  /** Sparse design: row i holds columns `column[start[i] … start[i+1]]`, ascending, with `value` at the same places. */
  readonly start: Int32Array;
  readonly column: Int32Array;
  readonly value: Float64Array;
  /** Rows of feature f are `block[f] … block[f+1]`; rows are ordered by feature. */
  readonly block: Int32Array;
  readonly printOfRow: Int32Array;
  /** For features with several rows, undefined for the others: their columns, and values column by column (columns × rows). */
  readonly dense: readonly (DenseBlock | undefined)[];
}

interface DenseBlock {
  readonly columns: Int32Array;
  readonly values: Float64Array;
}

/** Residuals against the prior mean and error variances (mm, mm²) of the model's rows: what changes when one is left out. */
interface RowData {
  readonly residual: Float64Array;
  readonly variance: Float64Array;
}

/** Sums over the features with one row that share an error variance: at a node they all take the same weight. */
interface VarianceClass {
  readonly variance: number;
  readonly count: number;
  /** Σ a·aᵀ, lower triangle, latentCount × latentCount row-major. */
  readonly gram: Float64Array;
  /** Σ a·residual, latentCount. */
  readonly moment: Float64Array;
  /** Σ residual². */
  readonly squares: number;
}

/** Row data with their sums, so that a node's cost does not grow with the number of rows. */
export interface ModelData extends RowData {
  readonly classes: readonly VarianceClass[];
}

/**
 * Sums the features with one row by their error variance. Repeats are mostly equal in number, so the classes are few;
 * adding every row at every node instead took four times as long for 30 features and fifteen times for 200.
 */
export function prepareData(model: Model, { residual, variance }: RowData): ModelData {
  const latent = model.latentCount;
  const classes = new Map<
    number,
    { count: number; gram: Float64Array; moment: Float64Array; squares: number }
  >();
  for (let feature = 0; feature + 1 < model.block.length; feature++) {
    const row = model.block[feature];
    if (model.block[feature + 1] - row !== 1) continue;
    const sums = classes.get(variance[row]) ?? {
      count: 0,
      gram: new Float64Array(latent * latent),
      moment: new Float64Array(latent),
      squares: 0,
    };
    classes.set(variance[row], sums);
    sums.count += 1;
    sums.squares += residual[row] ** 2;
    for (let a = model.start[row]; a < model.start[row + 1]; a++) {
      const base = model.column[a] * latent;
      sums.moment[model.column[a]] += model.value[a] * residual[row];
      for (let b = model.start[row]; b <= a; b++)
        sums.gram[base + model.column[b]] += model.value[a] * model.value[b];
    }
  }
  return {
    residual,
    variance,
    classes: [...classes].map(([classVariance, sums]) => ({ variance: classVariance, ...sums })),
  };
}

/** A variance that makes a row say nothing while the model keeps its shape; mm². */
export const SAYS_NOTHING = 1e9;

export function biasKey(instrument: string, jaw: string): string {
  return JSON.stringify([instrument, jaw]);
}

export function rowOfObservation(observation: Observation): ModelRow {
  const { feature, print, kind, drawnMm, jaw, instrument, warmth } = observation;
  return {
    feature,
    print,
    kind,
    drawnMm,
    biasOf: jaw === undefined ? undefined : biasKey(instrument, jaw),
    warmthOf: warmth && { key: warmth.sitting, sd: warmth.u },
  };
}

function distinct(names: readonly string[]): string[] {
  return [...new Set(names)];
}

/** Nonzero entries of a row over the latent vector, columns ascending. An unknown print has no drift columns here. */
export function latentEntries(
  layout: Pick<Model, 'prints' | 'biases' | 'warmths'>,
  row: Omit<ModelRow, 'feature'>,
): { readonly columns: number[]; readonly values: number[] } {
  const columns: number[] = [];
  const values: number[] = [];
  const add = (at: number, entry: number) => {
    if (entry === 0) return;
    columns.push(at);
    values.push(entry);
  };
  lawRow(row.kind, row.drawnMm).forEach((entry, at) => add(at, entry));
  const print = layout.prints.indexOf(row.print);
  if (print >= 0) {
    const drift = driftRow(row.kind, row.drawnMm);
    add(PARAMETER_COUNT + 2 * print, drift.edge);
    add(PARAMETER_COUNT + 2 * print + 1, drift.scale);
  }
  const bias = row.biasOf === undefined ? -1 : layout.biases.findIndex(({ key }) => key === row.biasOf);
  const afterPrints = PARAMETER_COUNT + 2 * layout.prints.length;
  if (bias >= 0) add(afterPrints + bias, 1);
  const warmth = layout.warmths.findIndex(({ key }) => key === row.warmthOf?.key);
  if (warmth >= 0) add(afterPrints + layout.biases.length + warmth, row.drawnMm);
  return { columns, values };
}

function priorPrecisionOf(prior: LawPrior, printCount: number, sds: readonly number[]): Float64Array {
  const count = PARAMETER_COUNT + 2 * printCount + sds.length;
  const precision = new Float64Array(count * count);
  const law = expectOk(invertSymmetric(prior.covariance, PARAMETER_COUNT));
  for (let i = 0; i < PARAMETER_COUNT; i++) {
    for (let j = 0; j < PARAMETER_COUNT; j++) precision[i * count + j] = law[i * PARAMETER_COUNT + j];
  }
  const setDiagonal = (at: number, sd: number) => (precision[at * count + at] = 1 / sd ** 2);
  for (let print = 0; print < printCount; print++) {
    setDiagonal(PARAMETER_COUNT + 2 * print, DRIFT_EDGE_SD_MM);
    setDiagonal(PARAMETER_COUNT + 2 * print + 1, DRIFT_SCALE_SD);
  }
  sds.forEach((sd, i) => setDiagonal(PARAMETER_COUNT + 2 * printCount + i, sd));
  return precision;
}

function denseBlock(entries: readonly { columns: number[]; values: number[] }[]): DenseBlock {
  const columns = [...new Set(entries.flatMap((entry) => entry.columns))].sort((a, b) => a - b);
  const values = new Float64Array(columns.length * entries.length);
  entries.forEach((entry, row) => {
    entry.columns.forEach((column, i) => {
      values[columns.indexOf(column) * entries.length + row] = entry.values[i];
    });
  });
  return { columns: Int32Array.from(columns), values };
}

/** Assembles the model; `rows` may come in any order and are kept grouped by feature, in order of first appearance. */
export function assembleModel(rows: readonly ModelRow[], prior: LawPrior, instruments: Instruments): Model {
  const features = distinct(rows.map((row) => row.feature));
  const prints = distinct(rows.map((row) => row.print));
  const grouped = features.flatMap((feature) => rows.filter((row) => row.feature === feature));
  const biases = distinct(rows.flatMap((row) => row.biasOf ?? [])).map((key) => {
    const [instrument] = JSON.parse(key) as [string, string];
    return { key, mpeMm: instrumentNamed(instruments, instrument).mpeMm };
  });
  const warmthOf = new Map(
    rows.flatMap(({ warmthOf }) => (warmthOf === undefined ? [] : [[warmthOf.key, warmthOf] as const])),
  );
  const warmths = [...warmthOf.values()];
  const entries = grouped.map((row) => latentEntries({ prints, biases, warmths }, row));
  const start = new Int32Array(grouped.length + 1);
  entries.forEach((entry, i) => (start[i + 1] = start[i] + entry.columns.length));
  const block = new Int32Array(features.length + 1);
  features.forEach((feature, f) => {
    block[f + 1] = block[f] + grouped.filter((row) => row.feature === feature).length;
  });
  const latentCount = PARAMETER_COUNT + 2 * prints.length + biases.length + warmths.length;
  const priorMean = new Float64Array(latentCount);
  priorMean.set(prior.mean);
  return {
    latentCount,
    prints,
    biases,
    warmths,
    features,
    rows: grouped,
    priorMean,
    // A perfect instrument would need an infinite precision: a nanometre stands in.
    priorPrecision: priorPrecisionOf(prior, prints.length, [
      ...biases.map(({ mpeMm }) => Math.max(mpeMm, 1e-6) / Math.sqrt(3)),
      ...warmths.map(({ sd }) => sd),
    ]),
    start,
    column: Int32Array.from(entries.flatMap((entry) => entry.columns)),
    value: Float64Array.from(entries.flatMap((entry) => entry.values)),
    block,
    printOfRow: Int32Array.from(grouped, (row) => prints.indexOf(row.print)),
    dense: features.map((_, f) => {
      const own = entries.slice(block[f], block[f + 1]);
      return own.length === 1 ? undefined : denseBlock(own);
    }),
  };
}

/** Offset that the prior mean expects of row i, mm. */
export function priorOffset(model: Model, row: number): number {
  let sum = 0;
  for (let at = model.start[row]; at < model.start[row + 1]; at++) {
    sum += model.value[at] * model.priorMean[model.column[at]];
  }
  return sum;
}
