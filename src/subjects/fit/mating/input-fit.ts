import { z } from 'zod';
import { LONGEST_MM, PART_STATES } from '@/core/measure';
import { JOINT_KINDS, JOINT_OUTCOMES, MATERIALS, RUINS, WISHES } from '@/core/fit/mating';
import { MATE_ORIGINS } from '@/core/job/need';
import {
  choiceField,
  numberField,
  optionalNumber,
  refuse,
  textField,
  tickField,
} from '@/subjects/kit/shared';

/** What should happen between a feature and its mate; own clearance both ends or none, letters in place of both. */
export const wishForm = z
  .object({
    wish: choiceField('Fit', WISHES),
    ruin: choiceField('Cost of a wrong fit', RUINS),
    lowMm: optionalNumber('Minimum clearance', 'length', { low: -5, high: 20 }),
    highMm: optionalNumber('Maximum clearance', 'length', { low: -5, high: 20 }),
    isoFit: textField('ISO fit, for bought metal parts', {
      optional: true,
      limit: 12,
      hint: 'Uses ISO 286-1 clearances instead of the fit class. The program warns you when this process cannot hold them.',
    }),
    coatMm: optionalNumber('Coating thickness per face', 'length', {
      low: 0,
      high: 2,
      hint: 'Paint or lacquer. The thickness is subtracted from every face.',
    }),
    mateName: textField('Mating part', { limit: 60 }),
    mateMm: optionalNumber('Mate size', 'length', { low: 0.001, high: LONGEST_MM }),
    mateU_mm: optionalNumber('Standard uncertainty; blank means 0.01', 'length', { low: 0, high: 10 }),
    material: choiceField('Material', MATERIALS),
    origin: choiceField('Source', MATE_ORIGINS),
    irreplaceable: tickField('Cannot be replaced'),
  })
  .transform(({ lowMm, highMm, isoFit, coatMm, mateName, mateMm, mateU_mm, material, ...rest }, context) => {
    const { wish, ruin, origin, irreplaceable } = rest;
    if (lowMm === undefined && highMm !== undefined)
      return refuse(context, { code: 'together', other: 'highMm' }, 'lowMm');
    if (lowMm !== undefined && highMm === undefined)
      return refuse(context, { code: 'together', other: 'lowMm' }, 'highMm');
    return {
      wish,
      ruin,
      coatMm: coatMm ?? 0,
      clearance: lowMm === undefined || highMm === undefined ? undefined : { lowMm, highMm },
      isoFit: isoFit === '' ? undefined : isoFit,
      mate: { name: mateName, sizeMm: mateMm, u_mm: mateU_mm, material, origin, irreplaceable },
    };
  });

/** What the hand found at a joint, as the page sends it. */
export const jointFoundInput = z.object({
  clientKey: z.string().min(8).max(80),
  jobId: z.int().positive(),
  jointId: z.int().positive(),
  printId: z.int().positive(),
  outcome: z.enum(JOINT_OUTCOMES),
  playMm: z.number().min(0).max(50).optional(),
  playDeg: z.number().min(0).max(180).optional(),
  state: z.enum(PART_STATES),
});

export type JointFoundInput = z.infer<typeof jointFoundInput>;

/** A joint printed in place. A scale is a share: 0.1 to 10 times the file. */
export const jointForm = z
  .object({
    name: textField('Name', { limit: 60 }),
    kind: choiceField('Kind', JOINT_KINDS),
    gapMm: numberField('Drawn gap per side, between walls', 'length', { low: 0.02, high: 5 }),
    heightGapMm: optionalNumber('Drawn gap below a roof', 'length', {
      low: 0.02,
      high: 5,
      hint: 'Only when the joint has a part above it on the plate. Otherwise leave blank.',
    }),
    pinMm: numberField('Pin, ball, bar or rail size', 'length', { low: 0.5, high: 200 }),
    spanMm: numberField('Span or guided length', 'length', { low: 0.5, high: 500 }),
    scalePercent: numberField('Target scale', 'percent', { low: 10, high: 1000 }),
    mostAngleDeg: optionalNumber('Maximum wobble', 'angle', {
      low: 0.01,
      high: 90,
      hint: 'Play as an angle. For a hinge, blank means 2°.',
    }),
    mostLateralMm: optionalNumber('Maximum sideways play', 'length', {
      low: 0.001,
      high: 20,
      hint: 'For other joints, blank means 0.5 mm.',
    }),
    freed: choiceField('Freed', ['green', 'cured']),
  })
  .transform(({ scalePercent, ...rest }) => ({ ...rest, scale: scalePercent / 100 }));

/** What a cured resin withstands, from its datasheet. */
export const strengthForm = z
  .object({
    modulusMPa: optionalNumber('Modulus, cured', 'stress', { low: 1, high: 50_000 }),
    strengthMPa: optionalNumber('Strength', 'stress', { low: 0.5, high: 1000 }),
    breakPercent: optionalNumber('Elongation at break', 'percent', { low: 0.1, high: 1000 }),
  })
  .transform(({ breakPercent, ...rest }) => ({
    ...rest,
    breakStrain: breakPercent === undefined ? undefined : breakPercent / 100,
  }));
