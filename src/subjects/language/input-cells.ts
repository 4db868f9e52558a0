import {
  AXES,
  BASES,
  type FeatureKind,
  type FeatureKindIssue,
  findKindIssue,
  type QuantityIssue,
  parseLength,
  SENSES,
  SHAPES,
} from '@/core/metrology';
import { fail, ok, type Result } from '@/core/result';
import type { CsvRow } from './input-table';

export type CellIssue =
  | {
      readonly code: 'notAChoice';
      readonly line: number;
      readonly column: string;
      readonly text: string;
      readonly choices: readonly string[];
    }
  | {
      readonly code: 'badNumber';
      readonly line: number;
      readonly column: string;
      readonly issue: QuantityIssue;
    }
  | { readonly code: 'notPositive'; readonly line: number; readonly column: string; readonly value: number }
  | { readonly code: 'blankName'; readonly line: number; readonly column: string }
  | { readonly code: 'kind'; readonly line: number; readonly issue: FeatureKindIssue };

/** What is wrong with a row beside the others. */
export type RowIssue =
  | {
      readonly code: 'otherKind';
      readonly line: number;
      readonly feature: string;
      readonly firstLine: number;
    }
  | { readonly code: 'limitsCrossed'; readonly line: number; readonly feature: string }
  | { readonly code: 'twice'; readonly line: number; readonly feature: string };

/** One of the allowed words of a column; a blank is undefined. */
export function readChoice<Choice extends string>(
  row: CsvRow,
  column: string,
  choices: readonly Choice[],
): Result<Choice | undefined, CellIssue> {
  const text = row.cells[column] ?? '';
  if (text === '') return ok(undefined);
  const choice = choices.find((candidate) => candidate.toLowerCase() === text.toLowerCase());
  return choice === undefined
    ? fail({ code: 'notAChoice', line: row.line, column, text, choices })
    : ok(choice);
}

/** A required choice: a blank is refused. */
export function readNeeded<Choice extends string>(
  row: CsvRow,
  column: string,
  choices: readonly Choice[],
): Result<Choice, CellIssue> {
  const choice = readChoice(row, column, choices);
  if (!choice.ok) return choice;
  if (choice.value === undefined)
    return fail({ code: 'notAChoice', line: row.line, column, text: '', choices });
  return ok(choice.value);
}

/** A number cell; blank is undefined. Degrees and temperatures use the same reader as lengths. */
export function readNumber(row: CsvRow, column: string): Result<number | undefined, CellIssue> {
  const text = row.cells[column] ?? '';
  if (text === '') return ok(undefined);
  const parsed = parseLength(text);
  if (!parsed.ok) return fail({ code: 'badNumber', line: row.line, column, issue: parsed.issue });
  return ok(parsed.value.valueMm);
}

export function readNeededNumber(row: CsvRow, column: string): Result<number, CellIssue> {
  const parsed = readNumber(row, column);
  if (!parsed.ok) return parsed;
  if (parsed.value === undefined)
    return fail({ code: 'badNumber', line: row.line, column, issue: { code: 'blank' } });
  return ok(parsed.value);
}

/** A size, which must be positive. */
export function readSize(row: CsvRow, column: string): Result<number, CellIssue> {
  const parsed = readNeededNumber(row, column);
  if (parsed.ok && !(parsed.value > 0))
    return fail({ code: 'notPositive', line: row.line, column, value: parsed.value });
  return parsed;
}

export function readName(row: CsvRow, column: string): Result<string, CellIssue> {
  const name = row.cells[column] ?? '';
  return name === '' ? fail({ code: 'blankName', line: row.line, column }) : ok(name);
}

/** sense, shape, axis, angle_deg and base of a row. */
export function readKind(row: CsvRow): Result<FeatureKind, CellIssue> {
  const sense = readNeeded(row, 'sense', SENSES);
  if (!sense.ok) return sense;
  const shape = readNeeded(row, 'shape', SHAPES);
  if (!shape.ok) return shape;
  const axis = readNeeded(row, 'axis', AXES);
  if (!axis.ok) return axis;
  const angle = readNumber(row, 'angle_deg');
  if (!angle.ok) return angle;
  const base = readChoice(row, 'base', BASES);
  if (!base.ok) return base;
  const slanted = axis.value === 'XY' && shape.value === 'flat';
  const kind: FeatureKind = {
    sense: sense.value,
    shape: shape.value,
    axis: axis.value,
    angleRad: slanted && angle.value !== undefined ? (angle.value * Math.PI) / 180 : undefined,
    base: axis.value === 'Z' && sense.value === 'outside' ? base.value : undefined,
  };
  const issue = findKindIssue(kind);
  return issue === undefined ? ok(kind) : fail({ code: 'kind', line: row.line, issue });
}

/** Cells of a kind, in the order of KIND_COLUMNS. */
export function kindCells(kind: FeatureKind): string[] {
  const degrees =
    kind.angleRad === undefined ? '' : String(Number(((kind.angleRad * 180) / Math.PI).toFixed(6)));
  return [kind.sense, kind.shape, kind.axis, degrees, kind.base ?? ''];
}
