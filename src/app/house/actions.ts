'use server';

import { ok } from '@/core/kit';
import { bench, type HouseRules, writeHouseRules } from '@/subjects/workshop/settings';
import {
  maintenanceRulesForm,
  checkRulesForm,
  classesForm,
  houseForm,
  runRulesForm,
  practicesForm,
  sharesForm,
} from '@/subjects/workshop/settings/shared';
import { changeFitClasses } from '@/subjects/job/jobs';
import type { FormAnswer } from '@/subjects/kit/shared';
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
      'Saved for new jobs. Existing jobs keep their agreed limits; Fit offers the new ones for each job.',
    ...shown,
  });
});

export const savePractices = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  const said = () => 'Saved. Every process card uses it.';
  return answerForm({ form: practicesForm, data, verb: keep, said, ...shown });
});

/** Shares of related profiles; profiles that are not measured yet follow at once. */
export const saveShares = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  const said = () => 'Saved. Profiles with few readings use it.';
  return answerForm({ form: sharesForm, data, verb: (shares) => keep({ shares }), said, ...shown });
});

export const saveCheckRules = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  const said = () => 'Saved. The next check uses it.';
  return answerForm({ form: checkRulesForm, data, verb: (check) => keep({ check }), said, ...shown });
});

export const saveRunRules = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  const said = () => 'Saved. Plates and the schedule use it.';
  return answerForm({ form: runRulesForm, data, verb: (run) => keep({ run }), said, ...shown });
});

export const saveMaintenanceRules = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  const said = () => 'Saved. Maintenance uses it.';
  return answerForm({ form: maintenanceRulesForm, data, verb: (care) => keep({ care }), said, ...shown });
});
