'use server';

import { revalidatePath } from 'next/cache';
import { chooseResin, saveRequirement, viewChoice } from '@/subjects/choice';
import { describeRanked, pickForm, requirementForm } from '@/subjects/choice/shared';
import { bench } from '@/subjects/house';
import { viewJob } from '@/subjects/job';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { resinFile } from '@/subjects/resin';
import { done, type FormState, refused } from '@/ui/forms/form-state';
import { reasonsOf } from './_components/reasons-of';
import type { ResinReasons } from './_components/resin-row';

export async function keepRequirement(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(requirementForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const kept = saveRequirement(bench().db, jobId, form.value);
  if (!kept.ok) return refused(describeChangeIssue(kept.issue));
  revalidatePath('/', 'layout');
  return done('The shelf was held against it.');
}

export async function pickResin(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(pickForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { db } = bench();
  const view = viewJob(db, jobId);
  if (view === undefined) return refused(describeChangeIssue({ code: 'gone' }));
  const { shelf, ranked } = viewChoice(db, view.job);
  const name = shelf.find(({ resin }) => resin.id === form.value.resinId)?.resin.name;
  const found = ranked.find(({ resin }) => resin === name);
  const kept = chooseResin(db, jobId, {
    ...form.value,
    found: found === undefined ? '' : describeRanked(found),
  });
  if (!kept.ok) return refused(describeChangeIssue(kept.issue));
  revalidatePath('/', 'layout');
  return done(`${name} is chosen.`);
}

/** Why a resin stands where it does, for a row that did not bring it along. */
export async function explainResin(jobId: number, resinId: number): Promise<ResinReasons | undefined> {
  const { db } = bench();
  const view = viewJob(db, jobId);
  if (view === undefined) return undefined;
  const { shelf, ranked, requirement } = viewChoice(db, view.job, view.profile?.printer.pixelMm ?? undefined);
  const shelved = shelf.find(({ resin }) => resin.id === resinId);
  const found = ranked.find(({ resin }) => resin === shelved?.resin.name);
  if (shelved === undefined || found === undefined) return undefined;
  return reasonsOf(found, resinFile(shelved), requirement);
}
