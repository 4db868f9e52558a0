import { z } from 'zod';
import { JOINT_KINDS, MATERIALS, RUINS, WISHES } from '@/core/fits';
import { MATE_ORIGINS } from '@/core/need';
import {
  choiceField,
  LONGEST_MM,
  numberField,
  optionalNumber,
  textField,
  tickField,
} from '@/subjects/language/shared';

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
