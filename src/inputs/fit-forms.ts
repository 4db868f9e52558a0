import { z } from 'zod';
import {
  JOINT_KINDS,
  MATERIALS,
  RUINS,
  RUNG_OUTCOMES,
  WISHES,
  type FitClasses,
  type Wish,
} from '@/core/fits';
import { GAUGE_CHOICES } from '@/core/gauges';
import { PART_STATES, READ_AS } from '@/core/metrology';
import { MATE_ORIGINS } from '@/core/need';
import { SHEET_KINDS, SHEETS, type InterfaceWish, type SheetChoices } from '@/core/sheets';
import { choiceField, idField, numberField, optionalNumber, textField, tickField } from './form-fields';

/** Longest size anybody prints, mm. */
const LONGEST_MM = 2000;

/** What should happen between a feature and its mate; own clearance both ends or none, letters in place of both. */
export const wishForm = z
  .object({
    wish: choiceField(WISHES),
    ruin: choiceField(RUINS),
    lowMm: optionalNumber(-5, 20),
    highMm: optionalNumber(-5, 20),
    isoFit: textField({ optional: true, limit: 12 }),
    coatMm: optionalNumber(0, 2),
    mateName: textField({ limit: 60 }),
    mateMm: optionalNumber(0.001, LONGEST_MM),
    mateU_mm: optionalNumber(0, 10),
    material: choiceField(MATERIALS),
    origin: choiceField(MATE_ORIGINS),
    irreplaceable: tickField,
  })
  .transform(({ lowMm, highMm, isoFit, coatMm, mateName, mateMm, mateU_mm, material, ...rest }, context) => {
    const { wish, ruin, origin, irreplaceable } = rest;
    if ((lowMm === undefined) !== (highMm === undefined)) {
      context.addIssue({
        code: 'custom',
        path: [lowMm === undefined ? 'lowMm' : 'highMm'],
        params: { issue: { code: 'together', other: lowMm === undefined ? 'highMm' : 'lowMm' } },
      });
      return z.NEVER;
    }
    return {
      wish,
      ruin,
      coatMm: coatMm ?? 0,
      clearance: lowMm === undefined || highMm === undefined ? undefined : { lowMm, highMm },
      isoFit: isoFit === '' ? undefined : isoFit,
      mate: { name: mateName, sizeMm: mateMm, u_mm: mateU_mm, material, origin, irreplaceable },
    };
  });

/** A joint printed in place. A scale is a share: 0.1 to 10 times the file. */
export const jointForm = z.object({
  name: textField({ limit: 60 }),
  kind: choiceField(JOINT_KINDS),
  gapMm: numberField(0.02, 5),
  heightGapMm: optionalNumber(0.02, 5),
  pinMm: numberField(0.5, 200),
  spanMm: numberField(0.5, 500),
  scalePercent: numberField(10, 1000),
  mostAngleDeg: optionalNumber(0.01, 90),
  mostLateralMm: optionalNumber(0.001, 20),
  freed: choiceField(['green', 'cured']),
});

/** What the hand found at a rung. */
export const rungForm = z.object({
  rung: numberField(1, 100),
  outcome: choiceField(RUNG_OUTCOMES),
  state: choiceField(PART_STATES),
  clientKey: textField({ limit: 80 }),
});

/** A gauge as it is asked for; blanks take the usual ladder. A job may say what a chosen block should tell about. */
export const gaugeForm = z
  .object({
    name: textField({ optional: true, limit: 80 }),
    profileId: numberField(1, 1e15),
    choice: choiceField(GAUGE_CHOICES),
    fromMm: optionalNumber(0.01, 100),
    stepMm: optionalNumber(0.001, 10),
    count: optionalNumber(1, 100),
    pinMm: optionalNumber(0.1, 100),
    mateName: textField({ optional: true, limit: 60 }),
    mateMm: optionalNumber(0.001, 200),
    mateU_mm: optionalNumber(0, 5),
    jobId: idField,
  })
  .transform(({ choice, fromMm, stepMm, count, pinMm, mateName, mateMm, mateU_mm, ...rest }) => ({
    ...rest,
    parameters: {
      choice,
      fromMm: fromMm ?? 0.1,
      stepMm: stepMm ?? 0.05,
      count: count ?? 9,
      pinMm: pinMm ?? 5,
    },
    mate:
      mateMm === undefined
        ? undefined
        : { name: mateName === '' ? 'Mate' : mateName, sizeMm: mateMm, u_mm: mateU_mm ?? 0.01 },
  }));

/** A reading of the old part or its neighbour. */
export const bodyForm = z.object({
  measure: textField({ limit: 40 }),
  level: numberField(0, 20),
  turn: numberField(0, 20),
  readingMm: numberField(-LONGEST_MM, 4 * LONGEST_MM),
  readAs: choiceField(READ_AS),
  instrumentId: numberField(1, 1e15),
  clientKey: textField({ limit: 80 }),
  confirmed: tickField,
});

/** What is chosen on a sheet: `option_…`, `wish_…`, `ruin_…` and `coat_…` by their ids; anything else is left alone. */
export const sheetForm = z
  .object({ kind: choiceField(SHEET_KINDS) })
  .catchall(z.string())
  .transform((form, context): SheetChoices => {
    const { kind } = form;
    const texts: Record<string, string> = form;
    const options: Record<string, number> = {};
    for (const { id, low, high } of SHEETS[kind].options) {
      const parsed = optionalNumber(low, high).safeParse(texts[`option_${id}`] ?? '');
      if (!parsed.success) {
        const [issue] = parsed.error.issues;
        const params = issue.code === 'custom' ? issue.params : undefined;
        context.addIssue({ code: 'custom', path: [`option_${id}`], params });
        return z.NEVER;
      }
      if (parsed.data !== undefined) options[id] = parsed.data;
    }
    const wishes: Record<string, Partial<InterfaceWish>> = {};
    for (const [name, text] of Object.entries(texts)) {
      if (!name.startsWith('least_') || text.trim() === '') continue;
      const id = name.slice('least_'.length);
      const [low, high] = [text, texts[`most_${id}`] ?? ''].map((each) =>
        numberField(-5, 20).safeParse(each),
      );
      if (!low.success || !high.success || low.data >= high.data) {
        const issue = { code: 'together', other: `most_${id}` };
        context.addIssue({ code: 'custom', path: [name], params: { issue } });
        return z.NEVER;
      }
      wishes[id] = { clearance: { lowMm: low.data, highMm: high.data } };
    }
    for (const [name, text] of Object.entries(texts)) {
      const [part, id] = [name.slice(0, 5), name.slice(5)];
      const wish = part === 'wish_' ? WISHES.find((each) => each === text) : undefined;
      const ruin = part === 'ruin_' ? RUINS.find((each) => each === text) : undefined;
      const coat = part === 'coat_' ? optionalNumber(0, 2).safeParse(text) : undefined;
      if (coat?.success === true) wishes[id] = { ...wishes[id], coatMm: coat.data ?? 0 };
      if (wish !== undefined) wishes[id] = { ...wishes[id], wish };
      if (ruin !== undefined) wishes[id] = { ...wishes[id], ruin };
    }
    return { kind, options, wishes };
  });

/** The house's classes at 10 mm: `low_…` and `high_…` by wish; each must rise, and no class may start below the one before. */
export const classesForm = z
  .object(
    Object.fromEntries(
      WISHES.flatMap((wish) => [
        [`low_${wish}`, numberField(-1, 5)],
        [`high_${wish}`, numberField(-1, 5)],
      ]),
    ) as Record<`low_${Wish}` | `high_${Wish}`, ReturnType<typeof numberField>>,
  )
  .transform((form, context): FitClasses => {
    let before = -Infinity;
    for (const wish of WISHES) {
      const [low, high] = [form[`low_${wish}`], form[`high_${wish}`]];
      if (!(low < high && low >= before)) {
        context.addIssue({
          code: 'custom',
          path: [`low_${wish}`],
          params: { issue: { code: 'outOfRange', low: Math.max(-1, before), high } },
        });
        return z.NEVER;
      }
      before = low;
    }
    return Object.fromEntries(
      WISHES.map((wish) => [wish, { lowMm: form[`low_${wish}`], highMm: form[`high_${wish}`] }]),
    ) as unknown as FitClasses;
  });

/** What a cured resin stands, from its sheet. */
export const strengthForm = z
  .object({
    modulusMPa: optionalNumber(1, 50_000),
    strengthMPa: optionalNumber(0.5, 1000),
    breakPercent: optionalNumber(0.1, 1000),
  })
  .transform(({ breakPercent, ...rest }) => ({
    ...rest,
    breakStrain: breakPercent === undefined ? undefined : breakPercent / 100,
  }));
