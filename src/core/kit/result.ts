/**
 * What a person's data can cause comes back as a value, never as an exception.
 * `Issue` is a closed union of codes with their facts; sentences are made last, in `words/`.
 */
export type Result<Value, Issue> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly issue: Issue };

export function ok<Value>(value: Value): { readonly ok: true; readonly value: Value } {
  return { ok: true, value };
}

export function fail<Issue>(issue: Issue): { readonly ok: false; readonly issue: Issue } {
  return { ok: false, issue };
}

/** The value of a Result that a programmer knows to be good; throws RangeError otherwise. */
export function expectOk<Value, Issue>(result: Result<Value, Issue>): Value {
  if (!result.ok) throw new RangeError(`expected a value, found ${JSON.stringify(result.issue)}`);
  return result.value;
}
