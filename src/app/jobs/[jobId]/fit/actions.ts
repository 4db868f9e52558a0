'use server';

import { revalidatePath } from 'next/cache';
import type { DrawnFit } from '@/core/fits';
import { askStrain, type StrainAsked } from '@/subjects/choice';
import { strainAskedInput } from '@/subjects/choice/shared';
import {
  type ChainView,
  drawSizes,
  dropWish,
  keepStrength,
  type LinkInput,
  removeJoint,
  saveJoint,
  type SizeWanted,
  wishFor,
  workOutChain,
} from '@/subjects/fit';
import { chainInput, jointForm, strengthForm, wantedSizesInput, wishForm } from '@/subjects/fit/shared';
import { bench, today } from '@/subjects/house';
import { viewJob } from '@/subjects/job';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { done, type FormState, refused } from '@/ui/forms/form-state';

export async function saveWish(
  jobId: number,
  featureId: number,
  _before: FormState,
  data: FormData,
): Promise<FormState> {
  const form = parseForm(wishForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const wished = wishFor(bench().db, jobId, featureId, form.value);
  revalidatePath('/', 'layout');
  return wished.ok
    ? done('Kept: its target and limits follow from it.')
    : refused(describeChangeIssue(wished.issue));
}

export async function takeWishOff(jobId: number, featureId: number): Promise<void> {
  dropWish(bench().db, jobId, featureId);
  revalidatePath('/', 'layout');
}

export async function keepJoint(
  jobId: number,
  jointId: number | undefined,
  _before: FormState,
  data: FormData,
): Promise<FormState> {
  const form = parseForm(jointForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { scalePercent, ...rest } = form.value;
  saveJoint(bench().db, jobId, { ...rest, scale: scalePercent / 100 }, jointId);
  revalidatePath('/', 'layout');
  return done('Kept.');
}

export async function dropJoint(jobId: number, jointId: number): Promise<void> {
  removeJoint(bench().db, jobId, jointId);
  revalidatePath('/', 'layout');
}

export async function saveStrength(resinId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(strengthForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const kept = keepStrength(bench().db, resinId, form.value, today());
  if (!kept.ok) return refused(describeChangeIssue(kept.issue));
  revalidatePath('/', 'layout');
  return done('Kept with the resin.');
}

/** Keeps a strain worked out here as what the resin must bear. */
export async function askOfResin(jobId: number, asked: StrainAsked): Promise<string> {
  const parsed = strainAskedInput.safeParse(asked);
  if (!parsed.success) return 'The strain could not be read. Work it out again.';
  const kept = askStrain(bench().db, jobId, parsed.data);
  if (!kept.ok) return describeChangeIssue(kept.issue);
  revalidatePath('/', 'layout');
  return `Asked for: ${(kept.value * 100).toFixed(1)} % elongation at break, under Resin.`;
}

/** What to draw for sizes that are no features yet. */
export async function askDrawn(
  jobId: number,
  wanted: readonly SizeWanted[],
): Promise<DrawnFit[] | undefined> {
  const sizes = wantedSizesInput.safeParse(wanted);
  const view = viewJob(bench().db, jobId);
  return sizes.success && view !== undefined ? drawSizes(view, sizes.data) : undefined;
}

export async function askChain(
  jobId: number,
  links: readonly LinkInput[],
  limits?: { readonly lowMm: number; readonly highMm: number },
): Promise<ChainView | undefined> {
  const chain = chainInput.safeParse({ links, limits });
  const view = viewJob(bench().db, jobId);
  return chain.success && view !== undefined
    ? workOutChain(view, chain.data.links, chain.data.limits)
    : undefined;
}
