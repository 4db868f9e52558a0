import { type Day, type DayIssue, type DayJob, type DayPlan, latestStart, planDay } from '@/core/print';
import { fail, ok, type Result } from '@/core/kit';

/** A day to be planned: as it is expected, and with every print at its late end. */
export interface AskedDay {
  readonly day: Day;
  readonly late: Day;
  /** Jobs whose start somebody set. */
  readonly set: readonly string[];
}

export interface PlannedDay {
  readonly plan: DayPlan;
  /** The same without the starts that somebody set; left out where none was. */
  readonly free?: DayPlan;
  /** Of each job the latest start, in minutes, that keeps its due in nine of ten. */
  readonly latest: Readonly<Record<string, number>>;
}

/** Equal days give equal plans. */
const SEED = 1;

/** Plans a day, says what set starts cost, and how late each job may begin. */
export function planAskedDay(
  { day, late, set }: AskedDay,
  isStopped: (share: number) => boolean = () => false,
): Result<PlannedDay, DayIssue> {
  const planned = planDay(day, { seed: SEED, isStopped });
  if (!planned.ok) return fail(planned.issue);
  const freed = (job: DayJob): DayJob =>
    set.includes(job.id) ? { ...job, isPinned: false, releaseMin: 0 } : job;
  const free =
    set.length > 0 ? planDay({ ...day, jobs: day.jobs.map(freed) }, { seed: SEED, isStopped }) : undefined;
  const cautious = planDay(late, { seed: SEED, isStopped });
  const latest = cautious.ok
    ? late.jobs.flatMap(({ id }) => {
        const start = latestStart(late, cautious.value.steps, id);
        return start === undefined ? [] : [[id, start] as const];
      })
    : [];
  return ok({
    plan: planned.value,
    free: free?.ok === true ? free.value : undefined,
    latest: Object.fromEntries(latest),
  });
}
