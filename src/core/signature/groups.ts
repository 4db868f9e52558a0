import { chanceKey, type ColumnKey, habitKey } from './columns';
import type { DataRow, ModelRow } from './rows';

/** A word of fit as a row: no reading, but evidence about its size. */
export interface WordRow<Word> {
  readonly row: ModelRow;
  readonly word: Word;
}

/** Rows and words that hang together by a print, a feature or a sitting, and with no other rows but through shared columns. */
export interface Group<Word> {
  readonly rows: readonly DataRow[];
  readonly words: readonly WordRow<Word>[];
}

/** Rows that are eliminated together; more than these are taken apart (see splitGroups). */
const MOST_ROWS = 48;

/** What connects a row with others: what can become a shared column, and a feature's chance in one print, which cannot. */
export function connections({ feature, print, unknowns }: ModelRow): ColumnKey[] {
  return [...unknowns.map(({ key }) => key), habitKey(feature), chanceKey(feature, print)];
}

/** Components of a graph given as lists of the names that each item carries. */
function componentsOf(namesOf: readonly (readonly string[])[]): number[][] {
  const parent = namesOf.map((_, i) => i);
  const root = (at: number): number => {
    let top = at;
    while (parent[top] !== top) top = parent[top] = parent[parent[top]];
    return top;
  };
  const first = new Map<string, number>();
  namesOf.forEach((names, i) => {
    for (const name of names) {
      const before = first.get(name);
      if (before === undefined) first.set(name, i);
      else parent[root(i)] = root(before);
    }
  });
  const members = new Map<number, number[]>();
  namesOf.forEach((_, i) => {
    const top = root(i);
    const list = members.get(top);
    if (list === undefined) members.set(top, [i]);
    else list.push(i);
  });
  return [...members.values()];
}

/** The connection that most rows of a component share; undefined where no two do, or only the chance of one feature. */
function mostShared(
  component: readonly number[],
  namesOf: readonly (readonly ColumnKey[])[],
  chanceOf: readonly ColumnKey[],
): ColumnKey | undefined {
  const counts = new Map<ColumnKey, number>();
  for (const i of component)
    for (const name of namesOf[i]) if (name !== chanceOf[i]) counts.set(name, (counts.get(name) ?? 0) + 1);
  let most: ColumnKey | undefined;
  let of = 1;
  for (const [name, count] of counts) if (count > of) [most, of] = [name, count];
  return most;
}

/**
 * Takes rows and words apart into groups that are independent given the shared columns. Where more than 48 rows hang
 * together (a control feature in every print, a gauge of a hundred sizes), what most of them share becomes a shared
 * column itself, until the groups are small: exact, and the cost stays in proportion to the rows.
 */
export function splitGroups<Word>(
  rows: readonly DataRow[],
  words: readonly WordRow<Word>[],
): { readonly groups: Group<Word>[]; readonly promoted: ReadonlySet<ColumnKey> } {
  const all: ModelRow[] = [...rows, ...words.map(({ row }) => row)];
  const promoted = new Set<ColumnKey>();
  const namesOf = all.map(connections);
  const chanceOf = namesOf.map((names) => names.at(-1)!);
  let open = componentsOf(namesOf);
  const done: number[][] = [];
  while (open.length > 0) {
    const large = open.filter((component) => component.length > MOST_ROWS);
    done.push(...open.filter((component) => component.length <= MOST_ROWS));
    open = large.flatMap((component) => {
      const shared = mostShared(component, namesOf, chanceOf);
      if (shared === undefined) {
        done.push([...component]);
        return [];
      }
      promoted.add(shared);
      const left = component.map((i) => (namesOf[i] = namesOf[i].filter((name) => name !== shared)));
      return componentsOf(left).map((part) => part.map((at) => component[at]));
    });
  }
  const groups = done.map((component) => ({
    rows: component.flatMap((i) => (i < rows.length ? [rows[i]] : [])),
    words: component.flatMap((i) => (i < rows.length ? [] : [words[i - rows.length]])),
  }));
  return { groups, promoted };
}
