/** The input is unusable: one line for standard error, exit code 2. */
export class UsageError extends Error {}

/** The value of a Result, or a UsageError with its sentence. */
export function valueOrRefuse<Value, Issue>(
  result: { ok: true; value: Value } | { ok: false; issue: Issue },
  describe: (issue: Issue) => string,
): Value {
  if (result.ok) return result.value;
  throw new UsageError(describe(result.issue));
}
