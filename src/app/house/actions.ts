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
import { formAtMachine } from '../_actions/at-machine';
import { changedHouse } from '../_actions/changed';

const keep = (rules: Partial<HouseRules>) => ok(writeHouseRules(bench().db, rules));
const shown = { refusal: String, changed: changedHouse };

export const saveHouse = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  return answerForm({ form: houseForm, data, verb: keep, ...shown });
});

export const saveClasses = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  return answerForm({
    form: classesForm,
    data,
    verb: (fitClasses) => ok(changeFitClasses(bench().db, fitClasses)),
    said: () =>
      'Kept for new jobs. Earlier jobs keep the limits they were agreed with; Fit offers the new ones for each.',
    ...shown,
  });
});

export const saveSchools = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  const said = () => 'Kept. Every process card follows it.';
  return answerForm({ form: schoolsForm, data, verb: keep, said, ...shown });
});

/** What relatives lend; profiles that are not measured yet follow it at once. */
export const saveShares = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  const said = () => 'Kept. Profiles that few readings were taken of follow it.';
  return answerForm({ form: sharesForm, data, verb: (shares) => keep({ shares }), said, ...shown });
});

export const saveCheckRules = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  const said = () => 'Kept. The next look at a part is held to it.';
  return answerForm({ form: checkRulesForm, data, verb: (check) => keep({ check }), said, ...shown });
});

export const saveRunRules = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  const said = () => 'Kept. Plates and the day are planned by it.';
  return answerForm({ form: runRulesForm, data, verb: (run) => keep({ run }), said, ...shown });
});

export const saveCareRules = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  const said = () => 'Kept. Care is counted by it.';
  return answerForm({ form: careRulesForm, data, verb: (care) => keep({ care }), said, ...shown });
});
