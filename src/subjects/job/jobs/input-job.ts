import { z } from 'zod';
import { LONGEST_MM, AXES, BASES, type FeatureKind, SENSES, SHAPES } from '@/core/measure';
import { choiceField, numberField, optionalChoice, optionalNumber, textField } from '@/subjects/kit/shared';

/** The name of a new job. */
export const newJobForm = z.object({ name: textField('Job name') });

/** How a size prints and is measured; the base only where the kind has one. */
export const kindFields = {
  sense: choiceField('Sense', SENSES),
  shape: choiceField('Shape', SHAPES),
  axis: choiceField('Measuring direction, as printed', AXES),
  base: choiceField('Lower face', ['', ...BASES]),
};

/** A feature with its target, limits and mate; the base and the angle only where the kind has them. */
export const featureForm = z
  .object({
    name: textField('Name', { limit: 60 }),
    ...kindFields,
    angleDeg: optionalNumber('Angle from X', 'angle', { low: -360, high: 360 }),
    targetMm: numberField('Target', 'length', { low: 0, high: LONGEST_MM }),
    lowerDeviationMm: numberField('Lower limit', 'length', { low: -LONGEST_MM, high: LONGEST_MM }),
    upperDeviationMm: numberField('Upper limit', 'length', { low: -LONGEST_MM, high: LONGEST_MM }),
    mateName: textField('Mate', { optional: true, limit: 60 }),
    mateMm: optionalNumber('Mate size', 'length', { low: 0.001, high: LONGEST_MM }),
    mateU_mm: optionalNumber('Uncertainty u of the mate size', 'length', { low: 0, high: 10 }),
    drawnMm: optionalNumber('Drawn size in the newest attempt', 'length', {
      low: 0,
      high: LONGEST_MM,
      hint: 'Change this if the file had another size.',
    }),
    holdsFor: optionalChoice('Other direction or kind', ['all', 'next']),
    revision: numberField('Revision', 'number', { low: 0, high: 1e9 }),
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
