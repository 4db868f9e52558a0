import { listAnd } from '@/core/kit/wording';
import type { DecisionWords } from '@/subjects/workshop/records/shared';

/** Decisions in Print. */
export type PlateEntry =
  | {
      readonly code: 'runStarted';
      readonly attempt: number;
      readonly copies: number;
      /** Of a hollow part; left out: solid. */
      readonly wallMm?: number;
      readonly printer: string;
      /** Reasons for which the gate was opened although something was not well. */
      readonly despite: readonly string[];
    }
  | {
      readonly code: 'runEnded';
      readonly attempt: number;
      readonly copies: number;
      readonly outcome: 'done' | 'stopped';
      readonly layer?: number;
      readonly reason: string;
    };

export function describePlateEntry(entry: PlateEntry): DecisionWords {
  const what = `attempt ${entry.attempt}${entry.copies === 1 ? '' : `, ${entry.copies} copies`}`;
  if (entry.code === 'runStarted')
    return {
      title: `Started ${what}${entry.wallMm === undefined ? '' : `, hollow with a ${entry.wallMm} mm wall,`} on ${entry.printer}`,
      detail:
        entry.despite.length === 0
          ? 'all checks passed before the start'
          : `started anyway: ${listAnd(entry.despite)}`,
    };
  if (entry.outcome === 'done') return { title: `Printed ${what}`, detail: '' };
  return {
    title: `Stopped ${what}`,
    detail: `${entry.layer === undefined ? '' : `at layer ${entry.layer}`}${entry.reason === '' ? '' : `: ${entry.reason}`}`,
  };
}
