import { type GapStep, GAP_STEP_OUTCOMES } from '@/core/fit/mating';
import { ok, type Result } from '@/core/kit';
import {
  type CellIssue,
  type CsvIssue,
  formatTable,
  parseTable,
  readNeeded,
  readSize,
} from '@/subjects/kit/shared';

type OutcomesCsvIssue = CsvIssue | CellIssue;

const COLUMNS = ['gap_mm', 'outcome'];

/** Reads OUTCOMES.csv of a gap test: one step per row, in any order; a step tried twice has two rows. */
export function parseOutcomesCsv(text: string): Result<GapStep[], OutcomesCsvIssue> {
  const table = parseTable(text, COLUMNS);
  if (!table.ok) return table;
  const rungs: GapStep[] = [];
  for (const row of table.value) {
    const gap = readSize(row, 'gap_mm');
    if (!gap.ok) return gap;
    const outcome = readNeeded(row, 'outcome', GAP_STEP_OUTCOMES);
    if (!outcome.ok) return outcome;
    rungs.push({ gapMm: gap.value, outcome: outcome.value });
  }
  return ok(rungs);
}

export function formatOutcomesCsv(rungs: readonly GapStep[]): string {
  return formatTable(
    COLUMNS,
    rungs.map(({ gapMm, outcome }) => [gapMm, outcome]),
  );
}
