'use server';

import { CHECKLIST_KEYS, type ChecklistKey } from '@/core/print/checklist';
import { z } from 'zod';
import { answerForm } from '@/app/_actions/answer-form';
import { changedRuns } from '@/app/_actions/changed-runs';
import { areIds } from '@/app/_actions/from-page';
import { tap } from '@/app/_actions/tap';
import { fail, type Result } from '@/core/kit';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import { type FormAnswer, GONE_WORDS } from '@/subjects/kit/shared';
import {
  answerChecklist,
  arrangePlate,
  changeRun,
  endRun,
  keepLayers,
  keepVat,
  keepWeighing,
  layOnPlate,
  movePiece,
  pourResin,
  putPlateAway,
  reopenChecklist,
  setCopies,
  startRun,
} from '@/subjects/print/plate';
import {
  addForm,
  aroundForm,
  copiesForm,
  describePlateIssue,
  endForm,
  checklistInput,
  layersInput,
  layForm,
  moveInput,
  type PlateIssue,
  pourForm,
  stopForm,
  vatForm,
  weighForm,
} from '@/subjects/print/plate/shared';

const shown = { refusal: describePlateIssue, changed: changedRuns };
const gap = () => benchHouse().run.plateGapMm;

/** What went wrong, in a sentence; empty where all went well. */
function answer(result: Result<unknown, PlateIssue>): string {
  changedRuns();
  return result.ok ? '' : describePlateIssue(result.issue);
}

/** What a page sent without a form: read, then one verb. */
function tapped<Shape>(
  schema: z.ZodType<Shape>,
  input: unknown,
  verb: (wanted: Shape) => Result<unknown, PlateIssue>,
): string {
  const wanted = schema.safeParse(input);
  return wanted.success ? answer(verb(wanted.data)) : GONE_WORDS;
}

/** Lays the newest attempt of a job on a plate, and shows it. */
export async function lay(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: layForm,
    data,
    ids: [jobId],
    verb: (wanted) => layOnPlate(bench().db, jobId, { ...wanted, gapMm: gap() }),
    goOn: (runId) => `/runs/${runId}`,
    ...shown,
  });
}

/** Lays another job on a plate that waits. */
export async function addJob(runId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: addForm,
    data,
    ids: [runId],
    verb: ({ jobId = 0, copies }) => layOnPlate(bench().db, jobId, { runId, copies, gapMm: gap() }),
    said: () => 'Added to the plate.',
    ...shown,
  });
}

export async function saveCopies(
  runId: number,
  attemptId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: copiesForm,
    data,
    ids: [runId, attemptId],
    verb: (wanted) => setCopies(bench().db, runId, { attemptId, ...wanted, gapMm: gap() }),
    ...shown,
  });
}

export const arrange = tap('arrange', GONE_WORDS, (runId: number): string => {
  return areIds(runId) ? answer(arrangePlate(bench().db, runId, gap())) : GONE_WORDS;
});

export const move = tap('move', GONE_WORDS, (runId: number, input: unknown): string => {
  if (!areIds(runId)) return GONE_WORDS;
  return tapped(moveInput, input, (wanted) => movePiece(bench().db, runId, wanted));
});

export const putAway = tap('putAway', GONE_WORDS, (runId: number): string => {
  return areIds(runId) ? answer(putPlateAway(bench().db, runId)) : GONE_WORDS;
});

/** What the page read off a part's file; read again it is the same. */
export async function sendLayers(input: unknown): Promise<string> {
  return tapped(layersInput, input, (read) => keepLayers(bench().db, read));
}

export async function saveVat(printerId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: vatForm,
    data,
    ids: [printerId],
    verb: (look) => keepVat(bench().db, printerId, look),
    said: (levelMl) => `Saved: ${levelMl} ml in the vat.`,
    ...shown,
  });
}

export async function saveAround(runId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: aroundForm,
    data,
    ids: [runId],
    verb: ({ bottleId = null, roomC = null }) => changeRun(bench().db, runId, { bottleId, roomC }),
    ...shown,
  });
}

export const tapChecklist = tap('tapGate', GONE_WORDS, (runId: number, input: unknown): string => {
  if (!areIds(runId)) return GONE_WORDS;
  return tapped(checklistInput, input, (answered) => answerChecklist(bench().db, runId, answered));
});

export const askAgain = tap('askAgain', GONE_WORDS, (runId: number, key: string): string => {
  if (!areIds(runId) || !(CHECKLIST_KEYS as readonly string[]).includes(key)) return GONE_WORDS;
  return answer(reopenChecklist(bench().db, runId, key as ChecklistKey));
});

/** Starts a run; on a simulated printer its clock may run faster than the one on the wall. */
export const start = tap('start', GONE_WORDS, (runId: number, speed: number): string => {
  if (!areIds(runId)) return GONE_WORDS;
  const known = [1, 60, 600].includes(speed) ? speed : 1;
  return answer(startRun(bench().db, runId, { house: benchHouse(), speed: known }));
});

/** Returns the moment of a clock time: today's, or yesterday's if today's is in the future. */
function momentOf({ hours, minutes }: { hours: number; minutes: number }, now: Date): Date {
  const today = new Date(now.getFullYear(), now.getMonth(), now.getDate(), hours, minutes);
  if (today <= now) return today;
  return new Date(now.getFullYear(), now.getMonth(), now.getDate() - 1, hours, minutes);
}

export async function saveEnd(runId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: endForm,
    data,
    ids: [runId],
    verb: ({ seen, at }) => {
      const now = new Date();
      const endedAt = seen === 'at' && at !== undefined ? momentOf(at, now) : now;
      return endRun(bench().db, runId, {
        outcome: 'done',
        endedAt,
        isSeen: seen !== 'unseen',
        reason: '',
        isUsable: true,
      });
    },
    said: () => 'Print finished. Next: wash.',
    ...shown,
  });
}

export async function saveStop(runId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: stopForm,
    data,
    ids: [runId],
    verb: ({ layer, reason, isUsable }) =>
      endRun(bench().db, runId, {
        outcome: 'stopped',
        endedAt: new Date(),
        isSeen: false,
        layer,
        reason,
        isUsable,
      }),
    said: () => 'Stop saved with place and reason.',
    ...shown,
  });
}

export async function savePour(runId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: pourForm,
    data,
    ids: [runId],
    verb: (pour) => pourResin(bench().db, runId, pour),
    said: (_, { ml }) => `${ml} ml added.`,
    ...shown,
  });
}

export async function saveWeighing(runId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: weighForm,
    data,
    ids: [runId],
    verb: (weighed) =>
      weighed.parts > 0
        ? keepWeighing(bench().db, runId, weighed)
        : fail({ code: 'nothingWeighed' } as const),
    said: (_, { parts, supports }) =>
      `Saved: supports are ${Math.round((100 * supports) / parts)} % of the parts.`,
    ...shown,
  });
}

/** No bench plans beyond this: the year 2100. */
const startInput = z
  .int()
  .min(0)
  .max(Date.UTC(2100, 0, 1))
  .nullable();

/** Sets when a plate is to start, or leaves that to the plan. */
export const planStart = tap('planStart', GONE_WORDS, (runId: number, at: number | null): string => {
  if (!areIds(runId)) return GONE_WORDS;
  return tapped(startInput, at, (ms) =>
    changeRun(bench().db, runId, { plannedFor: ms === null ? null : new Date(ms) }),
  );
});
