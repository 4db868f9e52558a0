import { z } from 'zod';
import { CARE_KINDS, CAUSES, FAILURE_KINDS, TESTS } from '@/core/log';

const place = z.number().min(-1000).max(1000);

/** A failure as the plate was tapped; height or layer, whichever is known. */
export const failureInput = z.object({
  clientKey: z.string().min(8).max(80),
  pieceIds: z.array(z.int().positive()).max(500),
  kind: z.enum(FAILURE_KINDS),
  layer: z.int().optional(),
  partMm: z.tuple([place, place]).optional(),
  note: z.string().max(300).default(''),
});
export type FailureNoted = z.infer<typeof failureInput>;

export const testInput = z.object({ test: z.enum(TESTS), outcome: z.string().min(1).max(40) });
export const causeInput = z.enum(CAUSES);

/** A new film is noted as a change of its profile: it moves sizes too. */
export const careInput = z.enum(CARE_KINDS).exclude(['film']);
