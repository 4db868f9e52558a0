import { z } from 'zod';
import { CRITERIA, IMPACTS, type Requirement, WASH_LIQUIDS, type Weights } from '@/core/resins';
import {
  numberField,
  optionalChoice,
  optionalNumber,
  orNull,
  textField,
  ticked,
  tickField,
  ticks,
} from '@/subjects/language/shared';
import { wordList } from '@/subjects/resin/shared';

const share = (low: number, high: number) =>
  optionalNumber(low, high).transform((percent) => (percent === undefined ? null : percent / 100));

/** What a part must survive, as it is typed under Resin. */
export const requirementForm = z
  .object({
    serviceMax_C: orNull(-60, 600),
    processMax_C: orNull(-60, 1200),
    margin_K: numberField(0, 200),
    stress_MPa: orNull(0, 500),
    strainPercent: share(0, 1000),
    impact: optionalChoice(IMPACTS),
    stiffnessLeast: orNull(0, 50_000),
    stiffnessMost: orNull(0, 50_000),
    shoreA: orNull(0, 100),
    clear: tickField,
    rated: textField({ optional: true, limit: 200 }),
    ...ticks('wash', WASH_LIQUIDS),
    room_C: orNull(-20, 60),
    smallestFeature_mm: orNull(0.01, 50),
    ...(Object.fromEntries(CRITERIA.map((each) => [`weight_${each}`, numberField(0, 10)])) as Record<
      `weight_${(typeof CRITERIA)[number]}`,
      ReturnType<typeof numberField>
    >),
  })
  .transform((form): Requirement => ({
    serviceMax_C: form.serviceMax_C,
    processMax_C: form.processMax_C,
    stress_MPa: form.stress_MPa,
    strainMax: form.strainPercent,
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
    weights: Object.fromEntries(
      CRITERIA.map((criterion) => [criterion, form[`weight_${criterion}`]]),
    ) as unknown as Weights,
  }));

/** The resin that is chosen for a job, on which printer, and why. */
export const pickForm = z.object({
  resinId: numberField(1, 1e9),
  printerId: numberField(1, 1e9),
  layerMm: numberField(0.005, 0.5),
  reason: textField({ optional: true, limit: 200 }),
});
