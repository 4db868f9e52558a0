import {
  AXES,
  BASES,
  type Bounds,
  BOUNDS,
  type FeatureKind,
  type FeatureKindIssue,
  findKindIssue,
  isWithin,
  type QuantityIssue,
  parseLength,
  SENSES,
  SHAPES,
} from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
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
  | {
      readonly code: 'outOfRange';
      readonly line: number;
      readonly column: string;
      readonly value: number;
      readonly bounds: Bounds;
    }
  | { readonly code: 'tooLong'; readonly line: number; readonly column: string; readonly limit: number }
  | { readonly code: 'blankName'; readonly line: number; readonly column: string }
  | { readonly code: 'halfAPlace'; readonly line: number; readonly missing: 'x_mm' | 'y_mm' }
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

/** A number cell within bounds; blank is undefined. Degrees and temperatures use the same reader as lengths. */
export function readNumber(
  row: CsvRow,
  column: string,
  bounds?: Bounds,
): Result<number | undefined, CellIssue> {
  const text = row.cells[column] ?? '';
  if (text === '') return ok(undefined);
  const parsed = parseLength(text);
  if (!parsed.ok) return fail({ code: 'badNumber', line: row.line, column, issue: parsed.issue });
  const value = parsed.value.valueMm;
  return bounds === undefined || isWithin(value, bounds)
    ? ok(value)
    : fail({ code: 'outOfRange', line: row.line, column, value, bounds });
}

export function readNeededNumber(row: CsvRow, column: string, bounds?: Bounds): Result<number, CellIssue> {
  const parsed = readNumber(row, column, bounds);
  if (!parsed.ok) return parsed;
  if (parsed.value === undefined)
    return fail({ code: 'badNumber', line: row.line, column, issue: { code: 'blank' } });
  return ok(parsed.value);
}

/** A size, which must be positive and no larger than anything that is printed. */
export function readSize(row: CsvRow, column: string): Result<number, CellIssue> {
  const parsed = readNeededNumber(row, column);
  if (!parsed.ok) return parsed;
  const { line } = row;
  const { value } = parsed;
  if (!(value > 0)) return fail({ code: 'notPositive', line, column, value });
  return isWithin(value, BOUNDS.size)
    ? parsed
    : fail({ code: 'outOfRange', line, column, value, bounds: BOUNDS.size });
}

/** Longest name that is kept, characters. */
const LONGEST_NAME = 120;

/** A text, no longer than a name is; blank is undefined. */
export function readText(row: CsvRow, column: string): Result<string | undefined, CellIssue> {
  const text = row.cells[column] ?? '';
  if (text.length > LONGEST_NAME)
    return fail({ code: 'tooLong', line: row.line, column, limit: LONGEST_NAME });
  return ok(text === '' ? undefined : text);
}

export function readName(row: CsvRow, column: string): Result<string, CellIssue> {
  const name = readText(row, column);
  if (!name.ok) return name;
  return name.value === undefined ? fail({ code: 'blankName', line: row.line, column }) : ok(name.value);
}

/** x_mm and y_mm of a row, from the middle of the plate: both or neither. */
export function readPlace(
  row: CsvRow,
): Result<{ readonly xMm: number; readonly yMm: number } | undefined, CellIssue> {
  const x = readNumber(row, 'x_mm', BOUNDS.place);
  if (!x.ok) return x;
  const y = readNumber(row, 'y_mm', BOUNDS.place);
  if (!y.ok) return y;
  if (x.value !== undefined && y.value !== undefined) return ok({ xMm: x.value, yMm: y.value });
  if (x.value === undefined && y.value === undefined) return ok(undefined);
  return fail({ code: 'halfAPlace', line: row.line, missing: x.value === undefined ? 'x_mm' : 'y_mm' });
}

/** sense, shape, axis, angle_deg and base of a row. */
export function readKind(row: CsvRow): Result<FeatureKind, CellIssue> {
  const sense = readNeeded(row, 'sense', SENSES);
  if (!sense.ok) return sense;
  const shape = readNeeded(row, 'shape', SHAPES);
  if (!shape.ok) return shape;
  const axis = readNeeded(row, 'axis', AXES);
  if (!axis.ok) return axis;
  const angle = readNumber(row, 'angle_deg', BOUNDS.angle);
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
