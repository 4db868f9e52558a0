'use server';

import { tapped } from '@/app/_actions/log-tap';
import { tap } from '@/app/_actions/tap';
import { bench } from '@/subjects/workshop/settings';
import { GONE_WORDS } from '@/subjects/kit/shared';
import { answerClearing, noteMaintenance, noteLookOver, takeBackMaintenance } from '@/subjects/log';
import { maintenanceBackInput, maintenanceInput, clearingInput, lookOverInput } from '@/subjects/log/shared';

/** Care that was done at a printer, or what a check of it showed. */
export const tapMaintenance = tap('tapCare', GONE_WORDS, (printerId: number, input: unknown): string => {
  return tapped([printerId], maintenanceInput, input, (care) => noteMaintenance(bench().db, printerId, care));
});

/** Care was not done after all. */
export const dropMaintenance = tap('dropCare', GONE_WORDS, (printerId: number, input: unknown): string => {
  return tapped([printerId], maintenanceBackInput, input, (kind) =>
    takeBackMaintenance(bench().db, printerId, kind),
  );
});

/** A step of clearing a printer after a failure. */
export const tapClearing = tap('tapClearing', GONE_WORDS, (printerId: number, input: unknown): string => {
  return tapped([printerId], clearingInput, input, (answer) => answerClearing(bench().db, printerId, answer));
});

/** Somebody looked the printer over. */
export const tapLookOver = tap('tapLookOver', GONE_WORDS, (printerId: number, input: unknown): string => {
  return tapped([printerId], lookOverInput, input, (looked) => noteLookOver(bench().db, printerId, looked));
});
