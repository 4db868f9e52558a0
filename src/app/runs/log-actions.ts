'use server';

import { answerTap, tapped } from '@/app/_actions/log-tap';
import { areIds } from '@/app/_actions/from-page';
import { tap } from '@/app/_actions/tap';
import { bench } from '@/subjects/workshop/settings';
import { GONE_WORDS } from '@/subjects/kit/shared';
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
export const tapFailure = tap('tapFailure', GONE_WORDS, (runId: number, input: unknown): string => {
  return tapped([runId], failureInput, input, (noted) => noteFailure(bench().db, runId, noted));
});

/** Everything came out well. */
export const tapWell = tap('tapWell', GONE_WORDS, (runId: number): string => {
  return areIds(runId) ? answerTap(noteWell(bench().db, runId)) : GONE_WORDS;
});

/** It was no failure. */
export const dropFailure = tap('dropFailure', GONE_WORDS, (runId: number, failureId: number): string => {
  if (!areIds(runId, failureId)) return GONE_WORDS;
  return answerTap(takeBackFailure(bench().db, runId, failureId));
});

/** What a deciding test showed. */
export const tapTest = tap('tapTest', GONE_WORDS, (runId: number, input: unknown): string => {
  return tapped([runId], testInput, input, (made) => keepTest(bench().db, runId, made));
});

/** What turned out to be the cause. */
export const tapCause = tap('tapCause', GONE_WORDS, (runId: number, input: unknown): string => {
  return tapped([runId], causeInput, input, (cause) => keepCause(bench().db, runId, cause));
});

/** The simulated eye looks at what came off. */
export const lookSimulated = tap('lookSimulated', GONE_WORDS, (runId: number): string => {
  return areIds(runId) ? answerTap(noteSimulated(bench().db, runId)) : GONE_WORDS;
});

/** A deciding test on the simulated printer. */
export const tapSimulatedTest = tap(
  'tapSimulatedTest',
  GONE_WORDS,
  (runId: number, input: unknown): string => {
    return tapped([runId], testNameInput, input, (test) => testSimulated(bench().db, runId, test));
  },
);
