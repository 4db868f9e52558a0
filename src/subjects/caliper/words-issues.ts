import type { PartState } from '@/core/metrology';
import { describeTakenName, formatMm, formatSigned, GONE_WORDS } from '@/subjects/language/shared';

/** Why an instrument was not put on the bench. */
export interface InstrumentIssue {
  readonly code: 'nameTaken';
  readonly name: string;
}

export function describeInstrumentIssue({ name }: InstrumentIssue): string {
  return describeTakenName(name);
}

/** Why a reading of a piece of known size was not kept. */
export type CheckPieceIssue =
  { readonly code: 'gone' } | { readonly code: 'farOff'; readonly offMm: number; readonly mpeMm: number };

export function describeCheckPieceIssue(issue: CheckPieceIssue): string {
  if (issue.code === 'gone') return GONE_WORDS;
  return `${formatSigned(issue.offMm, 3)} mm from the piece, with a limit of error of ${formatMm(issue.mpeMm, 3)}: is it another piece, or was the reading mistyped? If it is right, tick that it is and enter it again.`;
}

/** Why a sitting was not started. */
export interface SessionIssue {
  readonly code: 'noWayBack';
  readonly wanted: PartState;
  readonly read: PartState;
}

export function describeSessionIssue({ wanted, read }: SessionIssue): string {
  return `this print was read ${read} already, so it is ${wanted} no more. Choose its state as it lies here, or take those readings back if their state was wrong.`;
}
