'use server';

import { recordCheck, takeBackCheck } from '@/subjects/caliper';
import { checkPieceForm, describeCheckPieceIssue } from '@/subjects/caliper/shared';
import { bench } from '@/subjects/house';
import { done, type FormAnswer, formatSigned, GONE_WORDS, refused } from '@/subjects/language/shared';
import { keepSignatures } from '@/subjects/printing';
import { answerForm } from '../_actions/answer-form';
import { changedHouse } from '../_actions/changed';
import { areIds } from '../_actions/from-page';

/** Keeps one reading of a piece of known size; what its calipers measured is judged anew. */
export async function checkCaliper(
  instrumentId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  const { db } = bench();
  return answerForm({
    form: checkPieceForm,
    data,
    ids: [instrumentId],
    verb: (wanted) => recordCheck(db, instrumentId, { ...wanted, clientKey: crypto.randomUUID() }),
    refusal: describeCheckPieceIssue,
    said: (profileIds, { readingMm, knownMm }) => {
      keepSignatures(db, profileIds);
      return `Kept: ${formatSigned(readingMm - knownMm, 3)} mm. Enter the next reading, or leave it there.`;
    },
    changed: changedHouse,
  });
}

/** Takes a reading of a piece back. */
export async function takeCheckBack(instrumentId: number, checkId: number): Promise<FormAnswer> {
  if (!areIds(instrumentId, checkId)) return refused(GONE_WORDS);
  const { db } = bench();
  keepSignatures(db, takeBackCheck(db, instrumentId, checkId));
  changedHouse();
  return done();
}
