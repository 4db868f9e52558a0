import type { Signature } from '@/core/signature';

/** Answers to so many questions are kept of a signature. */
const MOST = 64;

const answersOf = new WeakMap<Signature, Map<string, unknown>>();

/**
 * What is reckoned from a signature alone is kept as long as the signature is: a page that is opened again asks the same
 * question. `question` holds all else that the answer rests on, as plain values; of too many the one asked longest ago goes.
 */
export function keepAnswer<Answer>(signature: Signature, question: unknown, reckon: () => Answer): Answer {
  const kept = answersOf.get(signature) ?? new Map<string, unknown>();
  answersOf.set(signature, kept);
  const key = JSON.stringify(question);
  const answer = kept.has(key) ? (kept.get(key) as Answer) : reckon();
  kept.delete(key);
  kept.set(key, answer);
  if (kept.size > MOST) kept.delete(kept.keys().next().value!);
  return answer;
}
