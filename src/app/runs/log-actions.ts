'use server';

import { answerTap, tapped } from '@/app/_actions/log-tap';
import { areIds } from '@/app/_actions/from-page';
import { bench } from '@/subjects/house';
import { GONE_WORDS } from '@/subjects/language/shared';
import {
  keepCause,
  keepTest,
  noteFailure,
  noteSimulated,
  noteWell,
  takeBackFailure,
  testSimulated,
} from '@/subjects/log';
import { causeInput, failureInput, testInput, testNameInput } from '@/subjects/log/shared';

/** Something of a run failed. */
export async function tapFailure(runId: number, input: unknown): Promise<string> {
  return tapped([runId], failureInput, input, (noted) => noteFailure(bench().db, runId, noted));
}

/** Everything came out well. */
export async function tapWell(runId: number): Promise<string> {
  return areIds(runId) ? answerTap(noteWell(bench().db, runId)) : GONE_WORDS;
}

/** It was no failure. */
export async function dropFailure(runId: number, failureId: number): Promise<string> {
  if (!areIds(runId, failureId)) return GONE_WORDS;
  return answerTap(takeBackFailure(bench().db, runId, failureId));
}

/** What a deciding test showed. */
export async function tapTest(runId: number, input: unknown): Promise<string> {
  return tapped([runId], testInput, input, (made) => keepTest(bench().db, runId, made));
}

/** What turned out to be the cause. */
export async function tapCause(runId: number, input: unknown): Promise<string> {
  return tapped([runId], causeInput, input, (cause) => keepCause(bench().db, runId, cause));
}

/** The simulated eye looks at what came off. */
export async function lookSimulated(runId: number): Promise<string> {
  return areIds(runId) ? answerTap(noteSimulated(bench().db, runId)) : GONE_WORDS;
}

/** A deciding test on the simulated printer. */
export async function tapSimulatedTest(runId: number, input: unknown): Promise<string> {
  return tapped([runId], testNameInput, input, (test) => testSimulated(bench().db, runId, test));
}
