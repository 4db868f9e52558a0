import { expectOk } from '@/core/kit';
import { invertSymmetric } from '@/core/kit/numerics';
import { type LawPrior, PARAMETER_COUNT, PARAMETER_NAMES } from './law';
import type { ModelRow } from './rows';
import { chanceKey, type ColumnKey, habitKey, lawKey, type SharedColumn } from './columns';

/** A reading of one shared column alone, as a reference piece is of a jaw. */
export interface ColumnReading {
  readonly key: ColumnKey;
  readonly value: number;
  readonly variance: number;
}

/**
 * The columns that all groups share: the law's, then `extra`. `precision` (count × count, row-major) and `moment`
 * (count) are those of the prior and of readings of columns, without the repeatable deviations among the columns, whose
 * precision belongs to the node.
 */
export interface Layout {
  readonly count: number;
  readonly extra: readonly SharedColumn[];
  readonly at: ReadonlyMap<ColumnKey, number>;
  readonly precision: Float64Array;
  readonly moment: Float64Array;
  /** Places of repeatable deviations among the columns. */
  readonly habits: readonly number[];
}

const LAW_KEYS = PARAMETER_NAMES.map(lawKey);

export function layColumns(
  prior: LawPrior,
  extra: readonly SharedColumn[],
  readings: readonly ColumnReading[],
): Layout {
  const count = PARAMETER_COUNT + extra.length;
  const at = new Map<ColumnKey, number>();
  LAW_KEYS.forEach((key, i) => at.set(key, i));
  extra.forEach(({ key }, i) => at.set(key, PARAMETER_COUNT + i));
  const precision = new Float64Array(count * count);
  const moment = new Float64Array(count);
  const law = expectOk(invertSymmetric(prior.covariance, PARAMETER_COUNT));
  for (let i = 0; i < PARAMETER_COUNT; i++) {
    for (let j = 0; j < PARAMETER_COUNT; j++) {
      precision[i * count + j] = law[i * PARAMETER_COUNT + j];
      moment[i] += law[i * PARAMETER_COUNT + j] * prior.mean[j];
    }
  }
  const inform = (column: number, value: number, weight: number) => {
    precision[column * count + column] += weight;
    moment[column] += weight * value;
  };
  extra.forEach(({ mean, sd }, i) => {
    if (sd !== 'habit') inform(PARAMETER_COUNT + i, mean, 1 / sd ** 2);
  });
  for (const { key, value, variance } of readings) {
    const column = at.get(key);
    if (column !== undefined) inform(column, value, 1 / variance);
  }
  const habits = extra.flatMap(({ sd }, i) => (sd === 'habit' ? [PARAMETER_COUNT + i] : []));
  return { count, extra, at, precision, moment, habits };
}

/** A row taken apart: entries on shared columns by name, and what it shares only with rows of its group. */
export interface PlacedRow {
  readonly shared: readonly (readonly [key: ColumnKey, value: number])[];
  readonly habit: ColumnKey | undefined;
  readonly chance: ColumnKey;
  readonly unknowns: ModelRow['unknowns'];
}

/** `isShared` says which connections are columns. */
export function placeRow(row: ModelRow, isShared: (key: ColumnKey) => boolean): PlacedRow {
  const shared: [ColumnKey, number][] = [];
  row.law.forEach((value, i) => {
    if (value !== 0) shared.push([LAW_KEYS[i], value]);
  });
  for (const { key, value } of row.shared) shared.push([key, value]);
  const own = row.unknowns.filter(({ key, value }) => {
    if (!isShared(key)) return true;
    shared.push([key, value]);
    return false;
  });
  const { feature } = row;
  const habit = habitKey(feature);
  if (isShared(habit)) shared.push([habit, 1]);
  return {
    shared,
    habit: isShared(habit) ? undefined : habit,
    chance: chanceKey(feature, row.print),
    unknowns: own,
  };
}

/** Names of what connects a row with others of its group. */
export function connectionsOf({ habit, chance, unknowns }: PlacedRow): ColumnKey[] {
  const keys = unknowns.map(({ key }) => key);
  if (habit !== undefined) keys.push(habit);
  keys.push(chance);
  return keys;
}

/** Prior covariance that two rows share apart from columns: repeatable deviation·τ_b² + chance·τ_p² + fixed. */
export interface SharedParts {
  readonly habit: 0 | 1;
  readonly chance: 0 | 1;
  /** mm². */
  readonly fixed: number;
}

export function sharedParts(a: PlacedRow, b: PlacedRow): SharedParts {
  let fixed = 0;
  for (const own of a.unknowns)
    for (const other of b.unknowns)
      if (own.key === other.key) fixed += own.value * other.value * own.sd * other.sd;
  return {
    habit: a.habit !== undefined && a.habit === b.habit ? 1 : 0,
    chance: a.chance === b.chance ? 1 : 0,
    fixed,
  };
}
