import { fail, ok, type Result } from '@/core/kit';
import {
  SHAFT_LOWER_UM,
  SHAFT_UPPER_UM,
  STANDARD_TOLERANCES_UM,
  STEPS_UP_TO_MM,
  type Grade,
} from './iso286-tables';

/** Limit deviations of one side of a fit, µm from the nominal size. */
interface LimitDeviations {
  readonly upper_um: number;
  readonly lower_um: number;
}

interface IsoFit {
  readonly hole: LimitDeviations;
  readonly shaft: LimitDeviations;
  readonly clearance_um: { readonly min: number; readonly max: number };
  readonly kind: 'clearance' | 'transition' | 'interference';
}

export type IsoFitIssue =
  | { readonly code: 'notAFit'; readonly text: string }
  | { readonly code: 'holeLetter'; readonly letter: string }
  | { readonly code: 'shaftLetter'; readonly letter: string }
  | { readonly code: 'grade'; readonly grade: number; readonly low: number; readonly high: number }
  | { readonly code: 'sizeBeyond'; readonly sizeMm: number; readonly mostMm: number };

const MOST_MM = STEPS_UP_TO_MM[STEPS_UP_TO_MM.length - 1];

function isGrade(grade: number): grade is Grade {
  return grade in STANDARD_TOLERANCES_UM;
}

/** Width of a grade at a size, µm; the caller has checked the size to lie in the table. */
export function standardTolerance_um(sizeMm: number, grade: Grade): number {
  return STANDARD_TOLERANCES_UM[grade][stepOf(sizeMm)];
}

function stepOf(sizeMm: number): number {
  const step = STEPS_UP_TO_MM.findIndex((upToMm) => sizeMm <= upToMm);
  if (!(sizeMm > 0) || step < 0) throw new RangeError('stepOf: the size lies outside the table');
  return step;
}

/** `H7` of a hole; only H is read, as bought metal comes on the hole basis. */
function holeDeviations(step: number, grade: Grade): LimitDeviations {
  return { upper_um: STANDARD_TOLERANCES_UM[grade][step], lower_um: 0 };
}

function shaftDeviations(step: number, letter: string, grade: Grade): Result<LimitDeviations, IsoFitIssue> {
  const width = STANDARD_TOLERANCES_UM[grade][step];
  if (letter in SHAFT_UPPER_UM) {
    const upper = SHAFT_UPPER_UM[letter as keyof typeof SHAFT_UPPER_UM][step];
    return ok({ upper_um: upper, lower_um: upper - width });
  }
  if (letter in SHAFT_LOWER_UM) {
    // Outside grades 4 to 7 the standard gives k a lower deviation of zero.
    const lower =
      letter === 'k' && grade > 7 ? 0 : SHAFT_LOWER_UM[letter as keyof typeof SHAFT_LOWER_UM][step];
    return ok({ upper_um: lower + width, lower_um: lower });
  }
  return fail({ code: 'shaftLetter', letter });
}

/**
 * Limits and clearances of a fit on the hole basis, µm.
 * Refuses other hole letters than H, shaft letters outside d … h, k … p, grades outside 5 … 13, sizes over 180 mm.
 * Source: ISO 286-1:2010. Example: isoFit(25, 'H7/g6') → hole 0 … +21, shaft −20 … −7, clearance 7 … 41.
 */
export function isoFit(sizeMm: number, letters: string): Result<IsoFit, IsoFitIssue> {
  const match = /^\s*([A-Za-z]+)(\d+)\s*\/\s*([A-Za-z]+)(\d+)\s*$/.exec(letters);
  if (match === null) return fail({ code: 'notAFit', text: letters });
  const [, holeLetter, holeGradeText, shaftLetter, shaftGradeText] = match;
  if (holeLetter !== 'H') return fail({ code: 'holeLetter', letter: holeLetter });
  const [holeGrade, shaftGrade] = [Number(holeGradeText), Number(shaftGradeText)];
  if (!isGrade(holeGrade)) return fail({ code: 'grade', grade: holeGrade, low: 5, high: 13 });
  if (!isGrade(shaftGrade)) return fail({ code: 'grade', grade: shaftGrade, low: 5, high: 13 });
  if (!(sizeMm > 0 && sizeMm <= MOST_MM)) return fail({ code: 'sizeBeyond', sizeMm, mostMm: MOST_MM });
  const step = stepOf(sizeMm);
  const hole = holeDeviations(step, holeGrade);
  const shaft = shaftDeviations(step, shaftLetter, shaftGrade);
  if (!shaft.ok) return shaft;
  const clearance_um = {
    min: hole.lower_um - shaft.value.upper_um,
    max: hole.upper_um - shaft.value.lower_um,
  };
  const kind = clearance_um.min >= 0 ? 'clearance' : clearance_um.max <= 0 ? 'interference' : 'transition';
  return ok({ hole, shaft: shaft.value, clearance_um, kind });
}
