import { formatMm, formatSigned } from '@/core/kit/wording';
import type { PartState } from '@/core/measure';
import { describeTakenName, GONE_WORDS } from '@/subjects/kit/shared';

/** Why an instrument was not saved. */
export interface InstrumentIssue {
  readonly code: 'nameTaken';
  readonly name: string;
}

export function describeInstrumentIssue({ name }: InstrumentIssue): string {
  return describeTakenName(name);
}

/** Why a reading of a reference piece was not saved. */
export type CheckPieceIssue =
  { readonly code: 'gone' } | { readonly code: 'farOff'; readonly offMm: number; readonly mpeMm: number };

export function describeCheckPieceIssue(issue: CheckPieceIssue): string {
  if (issue.code === 'gone') return GONE_WORDS;
  return `${formatSigned(issue.offMm, 3)} mm away from the piece, and the limit of error is ${formatMm(issue.mpeMm, 3)} mm. Check that this is the right piece and the reading is typed correctly. If both are right, tick the box and enter the reading again.`;
}

/** Why a sitting was not started. */
export interface SessionIssue {
  readonly code: 'noWayBack';
  readonly wanted: PartState;
  readonly read: PartState;
}

export function describeSessionIssue({ wanted, read }: SessionIssue): string {
  return `this print already has readings in the state “${read}”, so it cannot be ${wanted} now. Choose the state it is in now. If the earlier state was wrong, delete those readings.`;
}
