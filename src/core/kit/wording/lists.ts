function list(words: readonly string[], last: 'and' | 'or'): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} ${last} ${words.at(-1)}`;
}

/** Words as a sentence lists them. Example: a, b and c */
export function listAnd(words: readonly string[]): string {
  return list(words, 'and');
}

/** A long list by its first ones. Example: bushing, rack, hinge and 4 more */
export function listFew(words: readonly string[], few = 3): string {
  if (words.length <= few + 1) return listAnd(words);
  return listAnd([...words.slice(0, few), `${words.length - few} more`]);
}

/** Example: mm, cm or in */
export function listOr(words: readonly string[]): string {
  return list(words, 'or');
}
