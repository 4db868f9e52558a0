import type { Verdict } from '@/core/metrology';
import type { Db } from '@/db';
import { viewPrint, type FeatureView, type JobView, type PrintView } from './view-job';

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
  readonly prints: readonly PrintView[];
  readonly expectedJoint?: number;
  readonly outcome: Outcome;
}

/** How an attempt ended, over all its features. */
export type Outcome =
  | { readonly kind: 'notPrinted' }
  | { readonly kind: 'notRead' }
  | { readonly kind: 'partly'; readonly read: number; readonly of: number }
  | { readonly kind: 'in' }
  | { readonly kind: 'out'; readonly features: readonly string[] }
  | { readonly kind: 'cantTell'; readonly features: readonly string[] };

/** The outcome of one print: out before can't tell, and nothing is settled while a feature is unread. */
export function outcomeOf(features: readonly Pick<FeatureView, 'name' | 'verdict'>[], printed: boolean): Outcome {
  if (!printed) return { kind: 'notPrinted' };
  const judged = features.filter((feature): feature is typeof feature & { verdict: Verdict } => feature.verdict !== undefined);
  if (judged.length === 0) return { kind: 'notRead' };
  const named = (kind: Verdict['kind']) => judged.filter(({ verdict }) => verdict.kind === kind).map(({ name }) => name);
  if (named('out').length > 0) return { kind: 'out', features: named('out') };
  if (judged.length < features.length) return { kind: 'partly', read: judged.length, of: features.length };
  if (named('cantTell').length > 0) return { kind: 'cantTell', features: named('cantTell') };
  return { kind: 'in' };
}

function changesBetween(view: JobView, index: number): AttemptChange[] {
  const now = view.attempts[index];
  const before = view.attempts[index - 1];
  if (before === undefined) return [];
  const nameOf = (id: number) => view.features.find((feature) => feature.id === id)?.name ?? 'a feature put away';
  const changes: AttemptChange[] = [];
  if (now.profileId !== before.profileId) changes.push({ kind: 'profile' });
  if (now.lever !== before.lever) changes.push({ kind: 'lever', to: now.lever });
  if (now.meshHash !== before.meshHash && now.meshHash !== null) changes.push({ kind: 'file' });
  for (const size of now.drawn) {
    const old = before.drawn.find(({ featureId }) => featureId === size.featureId);
    if (old === undefined) changes.push({ kind: 'added', feature: nameOf(size.featureId), drawnMm: size.drawnMm });
    else if (old.drawnMm !== size.drawnMm) {
      changes.push({ kind: 'drawn', feature: nameOf(size.featureId), fromMm: old.drawnMm, toMm: size.drawnMm });
    }
  }
  return changes;
}

/** Attempt by attempt: what changed (found, not asked), why (asked), what came out. Oldest first. */
export function tellStory(db: Db, view: JobView): AttemptStory[] {
  return view.attempts.map((attempt, index) => {
    const prints =
      attempt.prints.length === 0 ? [viewPrint(db, view, attempt)] : attempt.prints.map((print) => viewPrint(db, view, attempt, print));
    const last = prints[prints.length - 1];
    return {
      number: attempt.number,
      createdAt: attempt.createdAt,
      reason: attempt.reason,
      lever: attempt.lever,
      changes: changesBetween(view, index),
      prints,
      outcome: outcomeOf(last.features, attempt.prints.length > 0),
    };
  });
}
