import { type Rung, RUNG_OUTCOMES } from '@/core/fits';
import { ok, type Result } from '@/core/result';
import {
  type CellIssue,
  type CsvIssue,
  formatTable,
  parseTable,
  readNeeded,
  readSize,
} from '@/subjects/language/shared';

type OutcomesCsvIssue = CsvIssue | CellIssue;

const COLUMNS = ['gap_mm', 'outcome'];

/** Reads OUTCOMES.csv of a gap test: one step per row, in any order; a step tried twice has two rows. */
export function parseOutcomesCsv(text: string): Result<Rung[], OutcomesCsvIssue> {
  const table = parseTable(text, COLUMNS);
  if (!table.ok) return table;
  const rungs: Rung[] = [];
  for (const row of table.value) {
    const gap = readSize(row, 'gap_mm');
    if (!gap.ok) return gap;
    const outcome = readNeeded(row, 'outcome', RUNG_OUTCOMES);
    if (!outcome.ok) return outcome;
    rungs.push({ gapMm: gap.value, outcome: outcome.value });
  }
  return ok(rungs);
}

export function formatOutcomesCsv(rungs: readonly Rung[]): string {
  return formatTable(
    COLUMNS,
    rungs.map(({ gapMm, outcome }) => [gapMm, outcome]),
  );
}
