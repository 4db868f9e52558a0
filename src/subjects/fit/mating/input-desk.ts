import { z } from 'zod';
import { LONGEST_MM, AXES, BASES, SENSES, SHAPES } from '@/core/measure';
import { finite } from '@/subjects/kit/shared';

/** Nobody asks for more at once; a longer list is no question of a page. */
const MOST_SIZES = 60;

/** Sizes that are no features yet, as the desk asks what to draw for them. */
export const wantedSizesInput = z
  .array(
    z.object({
      kind: z.object({
        sense: z.enum(SENSES),
        shape: z.enum(SHAPES),
        axis: z.enum(AXES),
        angleRad: finite.optional(),
        base: z.enum(BASES).optional(),
      }),
      targetMm: finite.positive().max(LONGEST_MM),
      halfMm: finite.positive().max(LONGEST_MM),
    }),
  )
  .max(MOST_SIZES);

const direction = z.union([z.literal(1), z.literal(-1)]);

/** Sizes in a row, each a feature of the job or a bought part, and what may be left at their end. */
export const chainInput = z.object({
  links: z
    .array(
      z.union([
        z.object({ featureId: z.number().int().positive(), direction }),
        z.object({
          name: z.string().min(1).max(80),
          sizeMm: finite.positive().max(LONGEST_MM),
          halfMm: finite.min(0).max(LONGEST_MM),
          direction,
        }),
      ]),
    )
    .max(MOST_SIZES),
  limits: z
    .object({ lowMm: finite, highMm: finite })
    .refine(({ lowMm, highMm }) => lowMm < highMm)
    .optional(),
});
