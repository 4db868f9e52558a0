import type { RunRules } from './input-run-rules';

/** A stretch of time. */
export interface Stretch {
  readonly from: Date;
  readonly to: Date;
}

/**
 * When somebody is at the bench between two moments, by the clock on the wall of this machine: on the days when it is put
 * forward or back too.
 */
export function presenceBetween({ presence }: Pick<RunRules, 'presence'>, from: Date, to: Date): Stretch[] {
  const stretches: Stretch[] = [];
  const day = new Date(from.getFullYear(), from.getMonth(), from.getDate());
  for (; day < to; day.setDate(day.getDate() + 1)) {
    const at = (minutes: number) =>
      new Date(day.getFullYear(), day.getMonth(), day.getDate(), Math.floor(minutes / 60), minutes % 60);
    for (const { fromMin, toMin } of presence[day.getDay()] ?? []) {
      const stretch = { from: at(fromMin), to: at(toMin) };
      if (stretch.to > from && stretch.from < to) stretches.push(stretch);
    }
  }
  return stretches;
}

/** Whether somebody is there at a moment. */
export function isThere(rules: Pick<RunRules, 'presence'>, at: Date): boolean {
  const next = new Date(at.getTime() + 1);
  return presenceBetween(rules, at, next).some(({ from, to }) => from <= at && at < to);
}

/** The first moment from `at` on at which somebody is there; undefined: not within two weeks. */
export function nextThere(rules: Pick<RunRules, 'presence'>, at: Date): Date | undefined {
  const until = new Date(at.getTime() + 14 * 86_400_000);
  const [first] = presenceBetween(rules, at, until);
  return first === undefined ? undefined : new Date(Math.max(first.from.getTime(), at.getTime()));
}
