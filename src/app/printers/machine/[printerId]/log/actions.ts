'use server';

import { tapped } from '@/app/_actions/log-tap';
import { bench } from '@/subjects/house';
import { answerClearing, noteCare, noteLookOver, takeBackCare } from '@/subjects/log';
import { careBackInput, careInput, clearingInput, lookOverInput } from '@/subjects/log/shared';

/** Care that was done at a printer, or what a check of it showed. */
export async function tapCare(printerId: number, input: unknown): Promise<string> {
  return tapped([printerId], careInput, input, (care) => noteCare(bench().db, printerId, care));
}

/** Care was not done after all. */
export async function dropCare(printerId: number, input: unknown): Promise<string> {
  return tapped([printerId], careBackInput, input, (kind) => takeBackCare(bench().db, printerId, kind));
}

/** A step of clearing a printer after a failure. */
export async function tapClearing(printerId: number, input: unknown): Promise<string> {
  return tapped([printerId], clearingInput, input, (answer) => answerClearing(bench().db, printerId, answer));
}

/** Somebody looked the printer over. */
export async function tapLookOver(printerId: number, input: unknown): Promise<string> {
  return tapped([printerId], lookOverInput, input, (looked) => noteLookOver(bench().db, printerId, looked));
}
