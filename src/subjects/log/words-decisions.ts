import type { FailureKind } from '@/core/log';
import type { DecisionWords } from '@/subjects/workshop/records/shared';
import { KIND_WORDS } from './words-log';

/** Decisions that the log adds to the history of a job. */
export interface LogEntry {
  readonly code: 'failed';
  readonly kind: FailureKind;
  readonly layer?: number;
}

export function describeLogEntry({ kind, layer }: LogEntry): DecisionWords {
  return { title: `Failed: ${KIND_WORDS[kind]}`, detail: layer === undefined ? '' : `at layer ${layer}` };
}
