import type { ClearingStep } from '@/core/log';
import { type Db, queries } from '@/store';

/** What a failure may have left in a vat, and how far clearing it is. */
export interface ClearingView {
  readonly failureId: number;
  /** The failed run. */
  readonly runId: number;
  readonly failedAt: Date;
  /** The last answer to each step since then. */
  readonly answers: ReadonlyMap<ClearingStep, { readonly isWell: boolean; readonly note: string }>;
}

/** The clearing that a printer waits for; undefined: its vat is clear. */
export function viewClearing(db: Db, printerId: number): ClearingView | undefined {
  const failure = queries.findUncleared(db, printerId);
  if (failure === undefined) return undefined;
  const answers = queries.listClearings(db, failure.id);
  return {
    failureId: failure.id,
    runId: failure.runId,
    failedAt: failure.at,
    answers: new Map(answers.map(({ step, isWell, note }) => [step, { isWell, note }])),
  };
}
