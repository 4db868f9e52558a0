import { z } from 'zod';
import {
  CRITERIA,
  describeLiquid,
  IMPACTS,
  type Requirement,
  WASH_LIQUIDS,
  type Weights,
} from '@/core/resin';
import {
  idField,
  numberField,
  numberOrNull,
  optionalChoice,
  textField,
  ticked,
  tickField,
  tickFields,
} from '@/subjects/kit/shared';
import { wordList } from '@/subjects/resin/shelf/shared';
import { describeCriterion } from './words-verdict';

/** What a part must survive, as it is typed under Resin. */
export const requirementForm = z
  .object({
    serviceMax_C: numberOrNull('Highest temperature in use', 'temperature', { low: -60, high: 600 }),
    processMax_C: numberOrNull('Highest temperature during assembly', 'temperature', {
      low: -60,
      high: 1200,
    }),
    margin_K: numberField('Margin', 'temperatureDifference', { low: 0, high: 200 }),
    stress_MPa: numberOrNull('Stress in the part', 'stress', { low: 0, high: 500 }),
    strainPercent: numberOrNull('Elongation at break needed', 'percent', { low: 0, high: 1000 }),
    impact: optionalChoice('Impact', IMPACTS),
    stiffnessLeast: numberOrNull('Stiffness, at least', 'stress', { low: 0, high: 50_000 }),
    stiffnessMost: numberOrNull('Stiffness, at most', 'stress', { low: 0, high: 50_000 }),
    shoreA: numberOrNull('Shore A hardness', 'number', { low: 0, high: 100 }),
    clear: tickField('Must be clear'),
    rated: textField('Ratings needed, separated by commas', { optional: true, limit: 200 }),
    ...tickFields('wash', WASH_LIQUIDS, describeLiquid),
    room_C: numberOrNull('Room temperature', 'temperature', { low: -20, high: 60 }),
    waterPercent: numberOrNull('Water uptake in 24 h, at most', 'percent', { low: 0, high: 50 }),
    smallestFeature_mm: numberOrNull('Smallest feature', 'length', { low: 0.01, high: 50 }),
    ...(Object.fromEntries(
      CRITERIA.map((each) => [
        `weight_${each}`,
        numberField(describeCriterion(each), 'number', { low: 0, high: 10 }),
      ]),
    ) as Record<`weight_${(typeof CRITERIA)[number]}`, ReturnType<typeof numberField>>),
  })
  .transform((form): Requirement => ({
    serviceMax_C: form.serviceMax_C,
    processMax_C: form.processMax_C,
    stress_MPa: form.stress_MPa,
    strainMax: form.strainPercent === null ? null : form.strainPercent / 100,
    impact: form.impact ?? null,
    stiffness_MPa: [form.stiffnessLeast, form.stiffnessMost],
    shoreA: form.shoreA,
    clear: form.clear,
    skinContact: false,
    contact: [],
    claims: (wordList(form.rated) ?? []).map((word) => word.toLowerCase()),
    margin_K: form.margin_K,
    washWith: ticked(form, 'wash', WASH_LIQUIDS),
    room_C: form.room_C,
    smallestFeature_mm: form.smallestFeature_mm,
    waterUptakeMax: form.waterPercent === null ? null : form.waterPercent / 100,
    weights: Object.fromEntries(
      CRITERIA.map((criterion) => [criterion, form[`weight_${criterion}`]]),
    ) as unknown as Weights,
  }));

/** The resin that is chosen for a job, on which printer, and why. */
export const pickForm = z.object({
  resinId: idField('Resin'),
  printerId: idField('Printer'),
  layerMm: numberField('Layer height, for a new profile', 'length', { low: 0.005, high: 0.5 }),
  reason: textField('Reason', { optional: true, limit: 200 }),
});
