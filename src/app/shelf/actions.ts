'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { evidenceOf, leftByWeight, PROOF_KINDS, SHIPPED_SHELF } from '@/core/resins';
import { bench, today } from '@/subjects/house';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import {
  addBottle,
  addResin,
  bringAll,
  dropQuote,
  findShelved,
  keepFacts,
  keepLeft,
  keepProof,
  keepQuote,
  loadVat,
  makeBlend,
  readCreepAgain,
  resinFile,
  shakeBottle,
  takeBackProof,
  takeOffShelf,
  throwBottle,
} from '@/subjects/resin';
import {
  blendForm,
  bottleForm,
  creepAgainForm,
  describeProofResult,
  factsForm,
  leftForm,
  PROOF_FORMS,
  quoteForm,
  resinForm,
  vatForm,
} from '@/subjects/resin/shared';
import { standInBend } from '@/subjects/simulated';
import { done, type FormState, refused } from '@/ui/forms/form-state';

function refresh(message?: string): FormState {
  revalidatePath('/', 'layout');
  return done(message);
}

export async function startResin(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(resinForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const made = addResin(bench().db, form.value.name, form.value.family);
  if (!made.ok) return refused(describeChangeIssue(made.issue));
  revalidatePath('/', 'layout');
  redirect(`/shelf/${made.value}`);
}

/** Puts the made-up resins that ship with the program on the shelf, to try things with. */
export async function takePracticeShelf(): Promise<void> {
  bringAll(bench().db, SHIPPED_SHELF);
  revalidatePath('/', 'layout');
}

export async function removeResin(resinId: number): Promise<void> {
  takeOffShelf(bench().db, resinId);
  revalidatePath('/', 'layout');
  redirect('/shelf');
}

export async function saveQuote(resinId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(quoteForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const kept = keepQuote(bench().db, resinId, form.value);
  if (!kept.ok) return refused(describeChangeIssue(kept.issue));
  const { typed } = form.value;
  return refresh(typed === undefined ? 'Kept.' : `Kept, converted from ${typed}.`);
}

export async function removeQuote(resinId: number, index: number): Promise<string> {
  const dropped = dropQuote(bench().db, resinId, index);
  revalidatePath('/', 'layout');
  return dropped.ok ? '' : describeChangeIssue(dropped.issue);
}

export async function saveFacts(resinId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(factsForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const kept = keepFacts(bench().db, resinId, form.value);
  return kept.ok ? refresh('Kept.') : refused(describeChangeIssue(kept.issue));
}

export async function saveBottle(resinId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(bottleForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const kept = addBottle(bench().db, resinId, form.value);
  return kept.ok ? refresh('On the shelf.') : refused(describeChangeIssue(kept.issue));
}

export async function saveLeft(
  resinId: number,
  bottleId: number,
  _before: FormState,
  data: FormData,
): Promise<FormState> {
  const form = parseForm(leftForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { db } = bench();
  const shelved = findShelved(db, resinId);
  if (shelved === undefined) return refused(describeChangeIssue({ code: 'gone' }));
  const density = evidenceOf(resinFile(shelved)).of('density_g_ml')?.value;
  const { leftMl, weighedG, emptyG } = form.value as { leftMl?: number; weighedG?: number; emptyG?: number };
  const left = leftMl ?? leftByWeight(weighedG!, emptyG!, density);
  if (left === undefined) return refused(describeChangeIssue({ code: 'noDensity' }));
  const kept = keepLeft(db, resinId, bottleId, left);
  return kept.ok ? refresh(`${left.toFixed(0)} ml left.`) : refused(describeChangeIssue(kept.issue));
}

export async function noteShaken(resinId: number, bottleId: number): Promise<void> {
  shakeBottle(bench().db, resinId, bottleId);
  revalidatePath('/', 'layout');
}

export async function removeBottle(resinId: number, bottleId: number): Promise<void> {
  throwBottle(bench().db, resinId, bottleId);
  revalidatePath('/', 'layout');
}

export async function saveVat(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(vatForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { printerId, resinId } = form.value;
  if (printerId !== undefined) loadVat(bench().db, printerId, resinId, today());
  return refresh('Kept.');
}

/** Keeps a bench proof of the kind that its form names. */
export async function saveProof(resinId: number, _before: FormState, data: FormData): Promise<FormState> {
  const kind = PROOF_KINDS.find((each) => each === data.get('kind'));
  if (kind === undefined) return refused('Choose a kind of proof.');
  const form = parseForm(PROOF_FORMS[kind], data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { note, on, ...test } = form.value;
  const kept = keepProof(bench().db, resinId, { ...test, on: on || today() }, note);
  if (!kept.ok) return refused(describeChangeIssue(kept.issue));
  return refresh(`Kept: ${describeProofResult(kept.value)}.`);
}

export async function removeProof(resinId: number, proofId: number): Promise<void> {
  takeBackProof(bench().db, resinId, proofId);
  revalidatePath('/', 'layout');
}

export async function saveCreepAgain(
  resinId: number,
  proofId: number,
  _before: FormState,
  data: FormData,
): Promise<FormState> {
  const form = parseForm(creepAgainForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const kept = readCreepAgain(bench().db, resinId, proofId, form.value.secondMm);
  return kept.ok ? refresh('Kept.') : refused(describeChangeIssue(kept.issue));
}

/** Readings of a simulated bench for a bend bar of this resin. */
export async function bendOnStandIn(resinId: number, closing: number) {
  return standInBend(bench().db, resinId, closing);
}

export async function keepBlend(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(blendForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const made = makeBlend(bench().db, form.value.name, form.value.recipe);
  if (!made.ok) return refused(describeChangeIssue(made.issue));
  revalidatePath('/', 'layout');
  redirect(`/shelf/${made.value}`);
}
