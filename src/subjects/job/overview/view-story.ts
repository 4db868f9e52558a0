import type { Outcome } from '@/core/measure';
import type { Db } from '@/store';
import type { PrintedJoint } from '@/subjects/fit/mating';
import { type JobView, type PrintView, viewPrint } from '@/subjects/job/jobs';

import { foundInPrint } from './outcome-of-print';

/** One difference between an attempt and the one before, found by comparing them. */
export type AttemptChange =
  | { readonly kind: 'drawn'; readonly feature: string; readonly fromMm: number; readonly toMm: number }
  | { readonly kind: 'added'; readonly feature: string; readonly drawnMm: number }
  | { readonly kind: 'profile' }
  | { readonly kind: 'lever'; readonly to: 'drawn' | 'mesh' }
  | { readonly kind: 'file' };

export interface AttemptStory {
  readonly number: number;
  readonly createdAt: Date;
  readonly reason: string;
  readonly lever: 'drawn' | 'mesh';
  readonly changes: readonly AttemptChange[];
  readonly prints: readonly (PrintView & {
    readonly joints: readonly PrintedJoint[];
    readonly despite: string;
  })[];
  readonly expectedJoint?: number;
  readonly outcome: Outcome;
}

function changesBetween(view: JobView, index: number): AttemptChange[] {
  const now = view.attempts[index];
  const before = view.attempts[index - 1];
  if (before === undefined) return [];
  const nameOf = (id: number) =>
    view.features.find((feature) => feature.id === id)?.name ?? 'a removed feature';
  const changes: AttemptChange[] = [];
  if (now.profileId !== before.profileId) changes.push({ kind: 'profile' });
  if (now.lever !== before.lever) changes.push({ kind: 'lever', to: now.lever });
  if (now.meshHash !== before.meshHash && now.meshHash !== null) changes.push({ kind: 'file' });
  for (const size of now.drawn) {
    const old = before.drawn.find(({ featureId }) => featureId === size.featureId);
    if (old === undefined)
      changes.push({ kind: 'added', feature: nameOf(size.featureId), drawnMm: size.drawnMm });
    else if (old.drawnMm !== size.drawnMm) {
      changes.push({
        kind: 'drawn',
        feature: nameOf(size.featureId),
        fromMm: old.drawnMm,
        toMm: size.drawnMm,
      });
    }
  }
  return changes;
}

/** Attempt by attempt: what changed (found, not asked), why (asked), what came out. Oldest first. */
export function tellStory(db: Db, view: JobView): AttemptStory[] {
  return view.attempts.map((attempt, index) => {
    const tried = attempt.prints.length === 0 ? [undefined] : attempt.prints;
    const found = tried.map((print) => {
      const shown = viewPrint(db, view, attempt, print);
      return { shown, despite: print?.despite ?? '', ...foundInPrint(db, view.job.id, shown) };
    });
    return {
      number: attempt.number,
      createdAt: attempt.createdAt,
      reason: attempt.reason,
      lever: attempt.lever,
      changes: changesBetween(view, index),
      prints: found.map(({ shown, joints, despite }) => ({ ...shown, joints, despite })),
      outcome: found[found.length - 1].outcome,
    };
  });
}
