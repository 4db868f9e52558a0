import { FAILURE_WORDS, type FailureKind } from '@/core/log';
import type { DecisionWords } from '@/subjects/workshop/records/shared';

/** Decisions that the log adds to the history of a job. */
export interface LogEntry {
  readonly code: 'failed';
  readonly kind: FailureKind;
  readonly layer?: number;
}

export function describeLogEntry({ kind, layer }: LogEntry): DecisionWords {
  return { title: `Failed: ${FAILURE_WORDS[kind]}`, detail: layer === undefined ? '' : `at layer ${layer}` };
}
