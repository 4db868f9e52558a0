function list(words: readonly string[], last: 'and' | 'or'): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} ${last} ${words.at(-1)}`;
}

/** Words as a sentence lists them. Example: a, b and c */
export function listAnd(words: readonly string[]): string {
  return list(words, 'and');
}

/** Example: mm, cm or in */
export function listOr(words: readonly string[]): string {
  return list(words, 'or');
}
