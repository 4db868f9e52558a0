import { z } from 'zod';
import { AXES, BASES, type FeatureKind, SENSES, SHAPES } from '@/core/metrology';
import { choiceField, numberField, optionalNumber, textField } from '@/subjects/language/shared';

/** The name of a new job. */
export const newJobForm = z.object({ name: textField() });

/** Longest size anybody prints, mm. */
const LONGEST_MM = 2000;

/** How a size prints and is measured; the base only where the kind has one. */
export const kindFields = {
  sense: choiceField(SENSES),
  shape: choiceField(SHAPES),
  axis: choiceField(AXES),
  base: choiceField(['', ...BASES]),
};

/** A feature with its target, limits and mate; the base and the angle only where the kind has them. */
export const featureForm = z
  .object({
    name: textField({ limit: 60 }),
    ...kindFields,
    angleDeg: optionalNumber(-360, 360),
    targetMm: numberField(0, LONGEST_MM),
    lowerMm: numberField(-LONGEST_MM, LONGEST_MM),
    upperMm: numberField(-LONGEST_MM, LONGEST_MM),
    mateName: textField({ optional: true, limit: 60 }),
    mateMm: optionalNumber(0.001, LONGEST_MM),
    mateU_mm: optionalNumber(0, 10),
    drawnMm: optionalNumber(0, LONGEST_MM),
    revision: numberField(0, 1e9),
  })
  .transform(({ sense, shape, axis, base, angleDeg, ...rest }) => ({
    ...rest,
    kind: kindOfForm({ sense, shape, axis, base, angleDeg }),
  }));

interface KindFields {
  readonly sense: FeatureKind['sense'];
  readonly shape: FeatureKind['shape'];
  readonly axis: FeatureKind['axis'];
  readonly base: '' | 'plate' | 'supported';
  readonly angleDeg: number | undefined;
}

/** Round sizes are measured across whatever axis stood in the form; a base belongs to outside heights alone. */
function kindOfForm({ sense, shape, axis, base, angleDeg }: KindFields): FeatureKind {
  const along = shape === 'round' ? 'XY' : axis;
  return {
    sense,
    shape,
    axis: along,
    angleRad:
      shape === 'flat' && along === 'XY' && angleDeg !== undefined ? (angleDeg * Math.PI) / 180 : undefined,
    base: along === 'Z' && sense === 'outside' && base !== '' ? base : undefined,
  };
}
