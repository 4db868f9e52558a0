'use server';

import { formatSigned } from '@/core/kit/wording';
import { recordCheck, takeBackCheck } from '@/subjects/measure/calipers';
import { checkPieceForm, describeCheckPieceIssue } from '@/subjects/measure/calipers/shared';
import { bench } from '@/subjects/workshop/settings';
import { describeFaults, done, type FormAnswer, GONE_WORDS, parseForm, refused } from '@/subjects/kit/shared';
import { keepSignatures } from '@/subjects/signature';
import { answerForm } from '../_actions/answer-form';
import { changedHouse } from '../_actions/changed';
import { areIds } from '../_actions/from-page';
import { tap } from '../_actions/tap';

/** Stores one reading of a reference piece; sizes measured with its calipers are judged again. */
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
      return `Saved: ${formatSigned(readingMm - knownMm, 3)} mm. Enter the next reading, or stop here.`;
    },
    changed: changedHouse,
  });
}

/** How a reading of a piece went; `isFar`: it is asked about and can be confirmed. */
export interface PieceAnswer {
  readonly ok: boolean;
  readonly isFar: boolean;
  readonly message?: string;
}

const notRead = (message: string, isFar = false): PieceAnswer => ({ ok: false, isFar, message });

/** The same from the measuring field, which has no form of its own. */
export const readPiece = tap(
  'readPiece',
  notRead(GONE_WORDS),
  (instrumentId: number, data: FormData): PieceAnswer => {
    if (!areIds(instrumentId) || !(data instanceof FormData)) return notRead(GONE_WORDS);
    const wanted = parseForm(checkPieceForm, data);
    if (!wanted.ok) return notRead(describeFaults(wanted.issue, checkPieceForm).join(' '));
    const { db } = bench();
    const kept = recordCheck(db, instrumentId, { ...wanted.value, clientKey: crypto.randomUUID() });
    if (!kept.ok) return notRead(describeCheckPieceIssue(kept.issue), kept.issue.code === 'farOff');
    keepSignatures(db, kept.value);
    changedHouse();
    return { ok: true, isFar: false };
  },
);

/** Takes a reading of a piece back. */
export const takeCheckBack = tap(
  'takeCheckBack',
  refused(GONE_WORDS),
  (instrumentId: number, checkId: number): FormAnswer => {
    if (!areIds(instrumentId, checkId)) return refused(GONE_WORDS);
    const { db } = bench();
    keepSignatures(db, takeBackCheck(db, instrumentId, checkId));
    changedHouse();
    return done();
  },
);
