import { type ChecklistKey } from '@/core/print/checklist';
import { eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, tables } from '@/store';
import { waitingRun } from './open-run';
import type { PlateIssue } from './words-plate';

/** An answer to the pre-print checklist: all of these are OK, or one is not, with the reason to start anyway. */
export interface ChecklistAnswered {
  readonly keys: readonly ChecklistKey[];
  readonly well: boolean;
  readonly reason: string;
}

/** Keeps answers of the gate; a question that was answered before has the newest answer. */
export function answerChecklist(
  db: Db,
  runId: number,
  { keys, well, reason }: ChecklistAnswered,
): Result<void, PlateIssue> {
  const waiting = waitingRun(db, runId);
  if (!waiting.ok) return waiting;
  if (!well && reason.trim() === '') return fail({ code: 'noReason' });
  const answer = { well, reason: reason.trim(), at: Date.now() };
  const gate = { ...waiting.value.gate, ...Object.fromEntries(keys.map((key) => [key, answer])) };
  db.update(tables.runs).set({ gate }).where(eq(tables.runs.id, runId)).run();
  return ok(undefined);
}

/** Undoes answers: these questions are asked again. */
export function reopenChecklist(db: Db, runId: number, key: ChecklistKey): Result<void, PlateIssue> {
  const waiting = waitingRun(db, runId);
  if (!waiting.ok) return waiting;
  const gate = Object.fromEntries(Object.entries(waiting.value.gate).filter(([name]) => name !== key));
  db.update(tables.runs).set({ gate }).where(eq(tables.runs.id, runId)).run();
  return ok(undefined);
}

/** Chooses what is poured from, and how warm the room is; what was answered of them is asked again. */
export function changeRun(
  db: Db,
  runId: number,
  changed: {
    readonly bottleId?: number | null;
    readonly roomC?: number | null;
    readonly plannedFor?: Date | null;
  },
): Result<void, PlateIssue> {
  const waiting = waitingRun(db, runId);
  if (!waiting.ok) return waiting;
  db.update(tables.runs).set(changed).where(eq(tables.runs.id, runId)).run();
  return ok(undefined);
}
