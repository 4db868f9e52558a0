import { getTableColumns, getTableName, is } from 'drizzle-orm';
import { CasingCache } from 'drizzle-orm/casing';
import { SQLiteTable } from 'drizzle-orm/sqlite-core';
import * as schema from './schema';

interface JsonColumn {
  readonly table: string;
  readonly column: string;
  /** SQL that is true of a cell that can be read. */
  readonly isSound: string;
}

/** What every cell has, by table and column; the ones not named are objects or lists. */
const MEMBERS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'resins.sheet': { '$.family': 'text', '$.quotes': 'array', '$.cautions': 'array' },
  'resins.recipe': { $: 'array' },
  'proofs.test': { '$.kind': 'text', '$.test': 'object' },
  'jobs.claims': { $: 'array' },
  'jobs.stance': { '$.kind': 'text' },
  'checks.stance': { '$.kind': 'text' },
  'checks.findings': { $: 'array' },
  'finding_verdicts.finding': { '$.code': 'text' },
  'ledger_lines.entry': { '$.code': 'text' },
  'signatures.summary': { '$.parameters': 'array' },
  'laws.mean': { $: 'array' },
  'laws.covariance': { $: 'array' },
  'laws.prior_mean': { $: 'array' },
  'laws.prior_covariance': { $: 'array' },
  'profile_changes.kinds': { $: 'array' },
  'foreign_laws.mean': { $: 'array' },
  'foreign_laws.covariance': { $: 'array' },
  'features.anchor': { $: 'array' },
  'printed_features.anchor': { $: 'array' },
  'jobs.seen_directions': { $: 'array' },
};

function soundness(table: string, column: string): string {
  const cell = `"${column}"`;
  const members = MEMBERS[`${table}.${column}`];
  const shape =
    members === undefined
      ? `json_type(${cell}) in ('object', 'array')`
      : Object.entries(members)
          .map(([at, type]) => `ifnull(json_type(${cell}, '${at}'), '') = '${type}'`)
          .join(' and ');
  // The order of CASE matters: text that is not JSON must not be parsed.
  return `case when json_valid(${cell}) then ${shape} else 0 end`;
}

/** Every column that holds JSON, and a test whether a cell of it is valid. */
export function listJsonColumns(): JsonColumn[] {
  const casing = new CasingCache('snake_case');
  return Object.values(schema)
    .filter((each) => is(each, SQLiteTable))
    .flatMap((each) => {
      const table = getTableName(each);
      return Object.values(getTableColumns(each))
        .filter(({ columnType }) => columnType === 'SQLiteTextJson')
        .map((column) => casing.getColumnCasing(column))
        .map((column) => ({ table, column, isSound: soundness(table, column) }));
    });
}
