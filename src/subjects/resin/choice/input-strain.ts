import { z } from 'zod';
import { finite } from '@/subjects/kit/shared';

/** A strain that a press or a snap puts into the printed part, as a share. */
export const strainAskedInput = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('press'), strain: finite.positive().max(5) }),
  z.object({ kind: z.literal('snap'), strain: finite.positive().max(5), use: z.enum(['once', 'repeated']) }),
]);
