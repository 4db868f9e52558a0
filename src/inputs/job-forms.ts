import { z } from 'zod';
import { AXES, BASES, SENSES, SHAPES, type FeatureKind } from '@/core/metrology';
import { choiceField, idField, numberField, optionalNumber, textField } from './form-fields';

/** The name of a new job. */
export const newJobForm = z.object({ name: textField() });

/** What a job is for. */
export const needForm = z.object({
  name: textField(),
  need: textField({ optional: true, limit: 2000 }),
  acceptance: textField({ optional: true, limit: 500 }),
  profileId: idField,
  rule: choiceField(['guarded', 'shared']),
  revision: numberField(0, 1e9),
});

/** Longest size anybody prints, mm. */
const LONGEST_MM = 2000;

/** A feature with its target, limits and mate; the base and the angle only where the kind has them. */
export const featureForm = z
  .object({
    name: textField({ limit: 60 }),
    sense: choiceField(SENSES),
    shape: choiceField(SHAPES),
    axis: choiceField(AXES),
    base: choiceField(['', ...BASES]),
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

/** The reason for an attempt, and by which lever it is put right. */
export const attemptForm = z.object({ reason: textField({ optional: true, limit: 300 }) });
