'use server';

import { revalidatePath } from 'next/cache';
import { answerForm } from '@/app/_actions/answer-form';
import { areIds } from '@/app/_actions/from-page';
import { tap } from '@/app/_actions/tap';
import { bench } from '@/subjects/workshop/settings';
import { type FormAnswer, GONE_WORDS } from '@/subjects/kit/shared';
import { countStock, putStockAway } from '@/subjects/log';
import { describeStockIssue, stockForm } from '@/subjects/log/shared';

function changed(): void {
  revalidatePath('/shelf');
  revalidatePath('/');
}

/** Something that is used up, counted. */
export async function saveStock(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: stockForm,
    data,
    verb: (counted) => countStock(bench().db, counted),
    refusal: describeStockIssue,
    changed,
  });
}

/** Something is not counted any more. */
export const dropStock = tap('dropStock', GONE_WORDS, (stockId: number): string => {
  if (!areIds(stockId)) return GONE_WORDS;
  const put = putStockAway(bench().db, stockId);
  changed();
  return put.ok ? '' : describeStockIssue(put.issue);
});
