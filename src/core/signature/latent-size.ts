import { forwardSolve } from '@/core/kit/numerics';
import { type Evidence, type Node, readyGroup } from './gather-evidence';
import { givenColumns, whiten, type WhitenedGroup } from './group-parts';
import { connectionsOf, type PlacedRow, placeRow, type SharedParts, sharedParts } from './layout';
import type { ModelRow } from './rows';
import type { Scatter } from './scatter-grid';

/** A printed size at one node as a linear function of the shared columns, its group's rows taken into account. */
export interface LatentSize {
  readonly row: PlacedRow;
  /** Mean of size − drawn, mm. */
  readonly offsetMm: number;
  /** Variance, mm². */
  readonly variance: number;
  /** Whitened coefficients over the shared columns: dot products give covariances between sizes. */
  readonly whitened: Float64Array;
  /** What the rows of each group that it hangs together with tell of it, whitened. */
  readonly own: ReadonlyMap<number, Float64Array>;
}

/** A size asked about: its row, with what it shares with the rows of the groups that tell of it. */
export interface PlacedQuery {
  readonly row: PlacedRow;
  readonly own: SharedParts;
  readonly groups: readonly { readonly group: number; readonly shares: readonly SharedParts[] }[];
}

/** Takes a row apart as the evidence lays its columns. A column that it does not have (a jaw never used) is left out. */
export function placeQuery(evidence: Evidence, row: ModelRow): PlacedQuery {
  const placed = placeRow(row, (key) => evidence.layout.at.has(key));
  const groups = new Set<number>();
  for (const key of connectionsOf(placed)) {
    const group = evidence.groupOf.get(key);
    if (group !== undefined) groups.add(group);
  }
  return {
    row: placed,
    own: sharedParts(placed, placed),
    groups: [...groups]
      .sort((a, b) => a - b)
      .map((group) => ({
        group,
        shares: readyGroup(evidence, group).parts.rows.map((other) => sharedParts(placed, other)),
      })),
  };
}

/** Groups at nodes, whitened once for all questions that are asked of one evidence. */
const whitenedOf = new WeakMap<Node, Map<number, WhitenedGroup>>();

export function whitenedGroup(evidence: Evidence, node: Node, group: number): WhitenedGroup {
  const known = whitenedOf.get(node) ?? new Map<number, WhitenedGroup>();
  whitenedOf.set(node, known);
  const whitened = known.get(group) ?? whiten(readyGroup(evidence, group).parts, node, node.sites?.[group]);
  known.set(group, whitened);
  return whitened;
}

function valueOf({ habit, chance, fixed }: SharedParts, { tauB, tauP }: Scatter): number {
  return fixed + habit * tauB * tauB + chance * tauP * tauP;
}

/** Posterior of one size at one node. A print to come brings its own drift and chance. */
export function latentSize(evidence: Evidence, node: Node, query: PlacedQuery): LatentSize {
  const { row } = query;
  const { count, at } = evidence.layout;
  const coefficients = new Float64Array(count);
  for (const [key, value] of row.shared) {
    const column = at.get(key);
    if (column !== undefined) coefficients[column] += value;
  }
  let offsetMm = 0;
  let variance = valueOf(query.own, node);
  const own = new Map<number, Float64Array>();
  for (const { group, shares } of query.groups) {
    const { parts, columns } = readyGroup(evidence, group);
    const whitened = whitenedGroup(evidence, node, group);
    const covariance = new Float64Array(whitened.size);
    for (let i = 0; i < whitened.size; i++) covariance[i] = valueOf(shares[i], node);
    const given = givenColumns(parts.keys.length, whitened, covariance);
    offsetMm += given.ownMm;
    given.taken.forEach((value, key) => (coefficients[columns[key]] -= value));
    for (const each of given.whitened) variance -= each * each;
    own.set(group, given.whitened);
  }
  for (let i = 0; i < count; i++) offsetMm += coefficients[i] * node.mean[i];
  forwardSolve(node.factor, count, coefficients);
  for (const each of coefficients) variance += each * each;
  return { row, offsetMm, variance, whitened: coefficients, own };
}

/** Posterior covariance of two sizes at one node, mm²; `shared`: what their rows share, the same at all nodes. */
export function latentCovariance(
  a: LatentSize,
  b: LatentSize,
  scatter: Scatter,
  shared = sharedParts(a.row, b.row),
): number {
  let covariance = valueOf(shared, scatter);
  for (let i = 0; i < a.whitened.length; i++) covariance += a.whitened[i] * b.whitened[i];
  for (const [group, own] of a.own) {
    const other = b.own.get(group);
    if (other === undefined) continue;
    for (let i = 0; i < own.length; i++) covariance -= own[i] * other[i];
  }
  return covariance;
}
