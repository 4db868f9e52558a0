/** So many answers are kept of one owner. */
const MOST = 64;

const answersOf = new WeakMap<object, Map<string, unknown>>();

/**
 * What takes long to reckon is kept as long as its owner is, such as a signature or a bench: a page that is opened again asks
 * the same. `question` holds all that the answer rests on beside the owner, as plain values; of too many the one asked longest
 * ago goes.
 */
export function keepAnswer<Answer>(owner: object, question: unknown, reckon: () => Answer): Answer {
  const kept = answersOf.get(owner) ?? new Map<string, unknown>();
  answersOf.set(owner, kept);
  const key = JSON.stringify(question);
  const answer = kept.has(key) ? (kept.get(key) as Answer) : reckon();
  kept.delete(key);
  kept.set(key, answer);
  if (kept.size > MOST) kept.delete(kept.keys().next().value!);
  return answer;
}
