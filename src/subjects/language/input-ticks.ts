import { choiceField, optionalNumber, tickField } from './input-fields';

/** A choice that may be left open. */
export function optionalChoice<Choice extends string>(choices: readonly Choice[]) {
  return choiceField<Choice | ''>(['', ...choices]).transform((text) => (text === '' ? undefined : text));
}

/** Ticked boxes `name_word`, in the order of the words. */
export function ticks<Word extends string>(name: string, words: readonly Word[]) {
  return Object.fromEntries(words.map((word) => [`${name}_${word}`, tickField])) as Record<
    `${string}_${Word}`,
    typeof tickField
  >;
}

export function ticked<Word extends string>(
  form: Readonly<Record<string, unknown>>,
  name: string,
  words: readonly Word[],
): Word[] {
  return words.filter((word) => form[`${name}_${word}`] === true);
}

export const orNull = (low: number, high: number) =>
  optionalNumber(low, high).transform((value) => value ?? null);
