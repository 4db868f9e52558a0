import { z } from 'zod';
import { LONGEST_MM } from '@/core/measure';
import { finite } from '@/subjects/kit/shared';

/** Sizes of features as measured on a corrected file. */
export const fileSizesInput = z
  .array(z.object({ id: z.int().positive(), afterMm: finite.positive().max(LONGEST_MM) }))
  .max(500);
