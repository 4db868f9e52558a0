'use server';

import { revalidatePath } from 'next/cache';
import { bench } from '@/subjects/house';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { createProfile, setStations } from '@/subjects/printing';
import { profileForm, stationsForm } from '@/subjects/printing/shared';
import { done, type FormState, refused } from '@/ui/forms/form-state';

export async function addProfile(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(profileForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const made = createProfile(bench().db, form.value);
  if (!made.ok) return refused(describeChangeIssue(made.issue));
  revalidatePath('/', 'layout');
  return done(`${form.value.resinName} on ${form.value.printerName} is on the bench.`);
}

export async function saveStations(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(stationsForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { printerId, ...stations } = form.value;
  setStations(bench().db, printerId, stations);
  revalidatePath('/', 'layout');
  return done('Kept. The next look at a part counts with it.');
}
