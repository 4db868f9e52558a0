import { redirect } from 'next/navigation';
import type { z } from 'zod';
import type { Result } from '@/core/kit';
import { bench, storageTroubleOf } from '@/subjects/workshop/settings';
import { describeStorageTrouble } from '@/subjects/workshop/settings/shared';
import {
  done,
  faulty,
  type FormAnswer,
  GONE_WORDS,
  parseForm,
  refused,
  TAP_KEY_FIELD,
} from '@/subjects/kit/shared';
import { answerOnce } from '@/subjects/workshop/records';
import { areIds, fieldOf, isTapKey } from './from-page';

interface Answering<Form extends z.ZodType, Value, Issue> {
  readonly form: Form;
  readonly data: FormData;
  /** Rows that the page spoke of; what can be no id of a row is refused. */
  readonly ids?: readonly unknown[];
  /** The one use case behind the form. */
  readonly verb: (wanted: z.output<Form>) => Result<Value, Issue> | Promise<Result<Value, Issue>>;
  /** Its issue in words. */
  readonly refusal: (issue: Issue) => string;
  /** Message after success. */
  readonly said?: (value: Value, wanted: z.output<Form>) => string;
  /** Refreshes what the use case changed. */
  readonly changed: () => void;
  /** Where to go on, instead of saying something. */
  readonly goOn?: (value: Value) => string;
}

/** Why nothing was saved although nothing was wrong with the form; other errors go on. */
function describeUnsaved(error: unknown): string {
  if ((error as NodeJS.ErrnoException).code === 'SQLITE_CONSTRAINT_FOREIGNKEY') return GONE_WORDS;
  const trouble = storageTroubleOf(error);
  if (trouble === undefined) throw error;
  return describeStorageTrouble(trouble);
}

function keyOf(data: FormData): string | undefined {
  const key = fieldOf(data, TAP_KEY_FIELD);
  return isTapKey(key) ? `form ${key}` : undefined;
}

/** What came of a form: an answer, or where to go on. */
type Outcome = { readonly answer: FormAnswer } | { readonly goOn: string };

/**
 * Answers a form, once per key: parse, run one use case, refresh what changed, report the result; a full disk is
 * reported too.
 */
export async function answerForm<Form extends z.ZodType, Value, Issue>(
  answering: Answering<Form, Value, Issue>,
): Promise<FormAnswer> {
  const { form, data, ids = [], verb, refusal, said, changed, goOn } = answering;
  if (!areIds(...ids)) return refused(GONE_WORDS);
  const wanted = parseForm(form, data);
  if (!wanted.ok) return faulty(wanted.issue);
  const outcomeOf = (result: Result<Value, Issue>): Outcome => {
    if (!result.ok) return { answer: refused(refusal(result.issue)) };
    if (goOn !== undefined) return { goOn: goOn(result.value) };
    return { answer: done(said?.(result.value, wanted.value) ?? 'Saved.') };
  };
  let outcome: Outcome;
  try {
    outcome = await answerOnce(
      () => bench().db,
      keyOf(data),
      () => {
        const result = verb(wanted.value);
        return result instanceof Promise ? result.then(outcomeOf) : outcomeOf(result);
      },
    );
  } catch (error) {
    return refused(describeUnsaved(error));
  }
  changed();
  if ('goOn' in outcome) redirect(outcome.goOn);
  return outcome.answer;
}
