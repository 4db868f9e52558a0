'use server';

import { ok } from '@/core/result';
import { bench, type HouseRules, writeHouseRules } from '@/subjects/house';
import {
  careRulesForm,
  checkRulesForm,
  classesForm,
  houseForm,
  runRulesForm,
  schoolsForm,
  sharesForm,
} from '@/subjects/house/shared';
import { changeFitClasses } from '@/subjects/job';
import type { FormAnswer } from '@/subjects/language/shared';
import { answerForm } from '../_actions/answer-form';
import { changedHouse } from '../_actions/changed';

const keep = (rules: Partial<HouseRules>) => ok(writeHouseRules(bench().db, rules));
const shown = { refusal: String, changed: changedHouse };

export async function saveHouse(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({ form: houseForm, data, verb: keep, ...shown });
}

export async function saveClasses(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: classesForm,
    data,
    verb: (fitClasses) => ok(changeFitClasses(bench().db, fitClasses)),
    said: () =>
      'Kept for new jobs. Earlier jobs keep the limits they were agreed with; Fit offers the new ones for each.',
    ...shown,
  });
}

export async function saveSchools(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  const said = () => 'Kept. Every process card follows it.';
  return answerForm({ form: schoolsForm, data, verb: keep, said, ...shown });
}

/** What relatives lend; profiles that are not measured yet follow it at once. */
export async function saveShares(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  const said = () => 'Kept. Profiles that few readings were taken of follow it.';
  return answerForm({ form: sharesForm, data, verb: (shares) => keep({ shares }), said, ...shown });
}

export async function saveCheckRules(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  const said = () => 'Kept. The next look at a part is held to it.';
  return answerForm({ form: checkRulesForm, data, verb: (check) => keep({ check }), said, ...shown });
}

export async function saveRunRules(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  const said = () => 'Kept. Plates and the day are planned by it.';
  return answerForm({ form: runRulesForm, data, verb: (run) => keep({ run }), said, ...shown });
}

export async function saveCareRules(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  const said = () => 'Kept. Care is counted by it.';
  return answerForm({ form: careRulesForm, data, verb: (care) => keep({ care }), said, ...shown });
}
