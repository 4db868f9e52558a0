/** So many answers are kept of one owner. */
const MOST = 64;

const answersOf = new WeakMap<object, Map<string, unknown>>();

/**
 * Returns the cached answer of an expensive calculation. The cache lives as long as its owner, such as a signature or a
 * database, because a page that is opened again asks the same question. `question` holds everything else that the
 * answer depends on, as plain values; the answer unused for the longest time is dropped first.
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
