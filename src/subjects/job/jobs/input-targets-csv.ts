import { fail, ok, type Result } from '@/core/kit';
import type { Target } from '@/core/signature';
import {
  type CellIssue,
  type CsvIssue,
  formatTable,
  kindCells,
  parseTable,
  readKind,
  readName,
  readNeededNumber,
  readPlace,
  readSize,
  type RowIssue,
} from '@/subjects/kit/shared';

type TargetsCsvIssue = CsvIssue | CellIssue | Extract<RowIssue, { code: 'limitsCrossed' | 'twice' }>;

const COLUMNS = [
  'feature',
  'sense',
  'shape',
  'axis',
  'angle_deg',
  'base',
  'target_mm',
  'tol_minus_mm',
  'tol_plus_mm',
];

/** Reads targets.csv; tol_minus_mm is negative or zero, a feature stands in it once. */
export function parseTargetsCsv(text: string): Result<Target[], TargetsCsvIssue> {
  const table = parseTable(text, COLUMNS);
  if (!table.ok) return table;
  const targets: Target[] = [];
  for (const row of table.value) {
    const feature = readName(row, 'feature');
    if (!feature.ok) return feature;
    const kind = readKind(row);
    if (!kind.ok) return kind;
    const target = readSize(row, 'target_mm');
    if (!target.ok) return target;
    const minus = readNeededNumber(row, 'tol_minus_mm');
    if (!minus.ok) return minus;
    const plus = readNeededNumber(row, 'tol_plus_mm');
    if (!plus.ok) return plus;
    const place = readPlace(row);
    if (!place.ok) return place;
    const name = feature.value;
    if (minus.value > 0 || minus.value >= plus.value)
      return fail({ code: 'limitsCrossed', line: row.line, feature: name });
    if (targets.some((other) => other.feature === name))
      return fail({ code: 'twice', line: row.line, feature: name });
    targets.push({
      feature: name,
      kind: kind.value,
      targetMm: target.value,
      lowerDeviationMm: minus.value,
      upperDeviationMm: plus.value,
      place: place.value,
    });
  }
  return ok(targets);
}

export function formatTargetsCsv(targets: readonly Target[]): string {
  return formatTable(
    [...COLUMNS, 'x_mm', 'y_mm'],
    targets.map((target) => [
      target.feature,
      ...kindCells(target.kind),
      target.targetMm,
      target.lowerDeviationMm,
      target.upperDeviationMm,
      target.place?.xMm ?? '',
      target.place?.yMm ?? '',
    ]),
  );
}
