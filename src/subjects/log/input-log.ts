import { z } from 'zod';
import { MAINTENANCE_KINDS, CAUSES, CLEARING_STEPS, FAILURE_KINDS, GLANCES, TESTS } from '@/core/log';

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
export const testNameInput = z.enum(TESTS);
export const causeInput = z.enum(CAUSES);

const note = z.string().trim().max(300).default('');

/** Care that is tapped: a new film is noted as a change of its profile, it moves sizes too; a vat is cleared step by step. */
export const maintenanceKindInput = z.enum(MAINTENANCE_KINDS).exclude(['film', 'clearVat', 'lookOver']);

export const maintenanceInput = z.object({
  kind: maintenanceKindInput,
  isWell: z.boolean().default(true),
  note,
});
export interface MaintenanceNoted {
  readonly kind: (typeof MAINTENANCE_KINDS)[number];
  readonly isWell?: boolean;
  readonly note?: string;
}

/** What can be undone: everything that is recorded on the page of the log. */
export const maintenanceBackInput = z.enum(MAINTENANCE_KINDS).exclude(['film']);

export const clearingInput = z.object({ step: z.enum(CLEARING_STEPS), isWell: z.boolean(), note });
export type ClearingAnswer = z.infer<typeof clearingInput>;

export const lookOverInput = z.object({
  done: z.array(maintenanceKindInput).max(MAINTENANCE_KINDS.length),
  amiss: z.array(z.enum(GLANCES)).max(GLANCES.length),
  note,
});
export type LookedOver = z.infer<typeof lookOverInput>;
