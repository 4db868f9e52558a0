'use server';

import { revalidatePath } from 'next/cache';
import { bench, writeHouseRules } from '@/subjects/house';
import { checkRulesForm, classesForm, houseForm, schoolsForm } from '@/subjects/house/shared';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { done, type FormState, refused } from '@/ui/forms/form-state';

export async function saveHouse(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(houseForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  writeHouseRules(bench().db, form.value);
  revalidatePath('/', 'layout');
  return done('Kept.');
}

export async function saveClasses(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(classesForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  writeHouseRules(bench().db, { fitClasses: form.value });
  revalidatePath('/', 'layout');
  return done(
    'Kept. Wishes named from now on use them; those of earlier jobs keep the limits they were given.',
  );
}

export async function saveSchools(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(schoolsForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  writeHouseRules(bench().db, form.value);
  revalidatePath('/', 'layout');
  return done('Kept. Every process card follows it.');
}

export async function saveCheckRules(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(checkRulesForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  writeHouseRules(bench().db, { check: form.value });
  revalidatePath('/', 'layout');
  return done('Kept. The next look at a part is held to it.');
}
