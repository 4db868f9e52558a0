/**
 * Long work cut into steps, so that whoever runs it can let others have their turn, show how far it is, or stop it. What
 * each step yields is the share that is done, 0 to 1.
 */
export type Steps<Answer> = Generator<number, Answer, void>;

/** Does all steps at once. */
export function atOnce<Answer>(steps: Steps<Answer>): Answer {
  let step = steps.next();
  while (step.done !== true) step = steps.next();
  return step.value;
}

/** Steps as a stretch of longer work: its shares from `from` to `to`. */
export function* partOf<Answer>(steps: Steps<Answer>, from: number, to: number): Steps<Answer> {
  let step = steps.next();
  while (step.done !== true) {
    yield from + (to - from) * step.value;
    step = steps.next();
  }
  return step.value;
}
