import { eliminate, type GroupParts, type Left, partsOf } from './group-parts';
import { takeGroupWords } from './group-words';
import { columnOf, type ColumnKey, habitKey, type SharedColumn } from './columns';
import { connections, type Group, splitGroups, type WordRow } from './groups';
import { type ColumnReading, layColumns, type Layout } from './layout';
import type { LawPrior } from './law';
import type { DataRow, ModelRow } from './rows';
import { SCATTER_GRID, type Scatter } from './scatter-grid';
import { addLeft, invertFactor, solve, startSum, type Sum } from './shared-sum';
import { type Sites, type Try } from './tries';

/** Groups of an earlier estimate by their content, so that only what changed is computed again. */
export type KeptGroups = Map<string, GroupParts>;

/** A group made ready for computing, with the column of each of its keys. */
interface ReadyGroup {
  readonly parts: GroupParts;
  readonly columns: Int32Array;
}

/** What a signature is learned from, in groups that are independent given the shared columns. */
export interface Evidence {
  readonly layout: Layout;
  readonly groups: readonly Group<Try>[];
  /** Groups that were asked for, made ready; see readyGroup. */
  readonly ready: (ReadyGroup | undefined)[];
  /**
   * Group of each connection: a feature's repeatable deviation or its chance in a print, a print's drift, a session's
   * temperature, a coat.
   */
  readonly groupOf: ReadonlyMap<ColumnKey, number>;
  /** Group and row in it of each row that was read, in the order they were given. */
  readonly places: readonly { readonly group: number; readonly row: number }[];
}

interface EvidenceInput {
  readonly prior: LawPrior;
  readonly rows: readonly DataRow[];
  readonly words: readonly WordRow<Try>[];
  /** Biases and shifts of states. */
  readonly columns: readonly SharedColumn[];
  readonly columnReadings: readonly ColumnReading[];
}

/** Rows of readings, then rows of hand fits. */
function rowsOf({ rows, words }: Group<Try>): ModelRow[] {
  return [...rows, ...words.map(({ row }) => row)];
}

/**
 * The column of a connection that became one: a repeatable deviation, the drift of a print, the temperature of a
 * session, a coat.
 */
function columnOfConnection(key: ColumnKey, rows: readonly ModelRow[]): SharedColumn {
  if (columnOf(key).kind === 'habit') return { key, mean: 0, sd: 'habit' };
  for (const { unknowns } of rows)
    for (const unknown of unknowns) if (unknown.key === key) return { key, mean: 0, sd: unknown.sd };
  throw new RangeError(`columnOfConnection: no row has ${key}`);
}

/** Everything that the elimination of a group depends on; of its hand fits only the sizes that they are about. */
function contentOf({ rows, words }: Group<Try>, shared: string): string {
  const factsOf = ({ feature, print, law, shared: also, unknowns }: ModelRow) => [
    feature,
    print,
    [...law],
    also,
    unknowns,
  ];
  return JSON.stringify([
    rows.map((row) => [factsOf(row), row.offsetMm, row.variance]),
    words.map(({ row }) => factsOf(row)),
    shared,
  ]);
}

function readyFrom(parts: GroupParts, { at }: Layout): ReadyGroup {
  return { parts, columns: Int32Array.from(parts.keys, (key) => at.get(key)!) };
}

/** A group made ready for computing, when it is first asked for: a question about one job needs but its own. */
export function readyGroup({ layout, groups, ready }: Evidence, group: number): ReadyGroup {
  return (ready[group] ??= readyFrom(
    partsOf(groups[group], (key) => layout.at.has(key)),
    layout,
  ));
}

/** The same readings with other variances of their noise, mm², in the order that the rows were given. */
export function withNoise(evidence: Evidence, variances: ArrayLike<number>): Evidence {
  const noise = evidence.groups.map((_, g) => readyGroup(evidence, g).parts.noise.slice());
  evidence.places.forEach(({ group, row }, i) => (noise[group][row] = variances[i]));
  const ready = noise.map((own, g) => {
    const { parts, columns } = readyGroup(evidence, g);
    return { parts: { ...parts, noise: own, left: new Map() }, columns };
  });
  return { ...evidence, ready };
}

/** Splits rows and words into groups; with `kept`, what it holds of them from an earlier estimate is not computed again. */
export function gatherEvidence(input: EvidenceInput, kept?: KeptGroups): Evidence {
  const { rows, words, prior, columnReadings } = input;
  const { groups, promoted } = splitGroups(rows, words);
  const all = rowsOf({ rows, words });
  const extra = [...input.columns, ...[...promoted].map((key) => columnOfConnection(key, all))];
  const layout = layColumns(prior, extra, columnReadings);
  const groupOf = new Map<ColumnKey, number>();
  const placeOf = new Map<DataRow, { group: number; row: number }>();
  groups.forEach((group, g) => {
    group.rows.forEach((each, row) => placeOf.set(each, { group: g, row }));
    for (const row of rowsOf(group))
      for (const key of connections(row)) if (!promoted.has(key)) groupOf.set(key, g);
  });
  const places = rows.map((row) => placeOf.get(row)!);
  const evidence = { layout, groups, ready: new Array<undefined>(groups.length), groupOf, places };
  if (kept !== undefined) takeKept(evidence, promoted, kept);
  return evidence;
}

/** Takes groups over from an earlier estimate by their content, and leaves there what this one has. */
function takeKept(evidence: Evidence, promoted: ReadonlySet<ColumnKey>, kept: KeptGroups): void {
  const used = new Set<string>();
  evidence.groups.forEach((group, g) => {
    const shared = [...promoted].filter((key) => mentions(rowsOf(group), key)).join('\n');
    const content = contentOf(group, shared);
    used.add(content);
    const known = kept.get(content);
    if (known !== undefined) evidence.ready[g] = readyFrom(known, evidence.layout);
    kept.set(content, readyGroup(evidence, g).parts);
  });
  for (const content of kept.keys()) if (!used.has(content)) kept.delete(content);
}

function mentions(rows: readonly ModelRow[], key: ColumnKey): boolean {
  return rows.some(
    ({ feature, unknowns }) => habitKey(feature) === key || unknowns.some((unknown) => unknown.key === key),
  );
}

/** The Gaussian posterior of the shared columns at one node. */
export interface Node extends Scatter {
  /** Cholesky factor of the posterior precision, count × count row-major. */
  readonly factor: Float64Array;
  /** Posterior mean, length count. */
  readonly mean: Float64Array;
  /** Log marginal likelihood of readings and words, up to a constant common to all nodes. */
  readonly logLikelihood: number;
  /** What the words of each group amount to here; left out where nothing was said. */
  readonly sites?: readonly Sites[];
}

/** What a group leaves at a node, computed when it is first asked for. */
function leftBy(parts: GroupParts, at: number): Left {
  const left = parts.left.get(at) ?? eliminate(parts, SCATTER_GRID[at]);
  parts.left.set(at, left);
  return left;
}

function sumGroups(evidence: Evidence, at: number): Sum {
  const { layout, groups } = evidence;
  const sum = startSum(layout, SCATTER_GRID[at]);
  for (let g = 0; g < groups.length; g++) {
    const { parts, columns } = readyGroup(evidence, g);
    addLeft(sum, layout.count, columns, leftBy(parts, at).information);
  }
  return sum;
}

const NO_SITES: Sites = [];

/** The posterior at a node from readings alone. */
export function solveReadings(evidence: Evidence, at: number): Node {
  const { count } = evidence.layout;
  const sum = sumGroups(evidence, at);
  const { factor, mean, explained, logDeterminant } = solve(sum, count);
  const { tauB, tauP } = SCATTER_GRID[at];
  const logLikelihood = -0.5 * (sum.misfit + logDeterminant - explained);
  return { tauB, tauP, factor, mean, logLikelihood };
}

/**
 * The posterior at a node from readings and words: the readings of all first (`bare`, see solveReadings), then the words,
 * group after group, in the order of compareTries within a group.
 */
export function solveWithWords(evidence: Evidence, at: number, bare: Node): Node {
  const sum = sumGroups(evidence, at);
  const { count } = evidence.layout;
  let { logLikelihood } = bare;
  const posterior = { mean: bare.mean.slice(), covariance: invertFactor(bare.factor, count) };
  const sites = evidence.groups.map(({ words }, g) => {
    if (words.length === 0) return NO_SITES;
    const { parts, columns } = readyGroup(evidence, g);
    const { words: sizes } = leftBy(parts, at);
    const taken = takeGroupWords(sum, posterior, {
      columns,
      sizes: sizes!,
      words,
    });
    logLikelihood += taken.logLikelihood;
    return taken.sites;
  });
  const { factor, mean } = solve(sum, count);
  return { ...bare, factor, mean, logLikelihood, sites };
}
