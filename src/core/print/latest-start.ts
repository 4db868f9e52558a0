import { type Day, type PlacedStep, Schedule } from './day';

/** A plan without one job, whose first step may begin from a minute on; all others stay where the plan has them. */
function around(day: Day, steps: readonly PlacedStep[], job: number, fromMin: number): Schedule {
  const jobs = day.jobs.map((each, i) => (i === job ? { ...each, releaseMin: fromMin } : each));
  const schedule = new Schedule({ ...day, jobs });
  for (const { job: id, startMin } of [...steps].sort((a, b) => a.startMin - b.startMin)) {
    const at = jobs.findIndex((each) => each.id === id);
    if (at !== job) schedule.place(at, startMin);
  }
  return schedule;
}

/** When a job ends that is begun from a minute on, each step as early as it can be. */
function endFrom(day: Day, steps: readonly PlacedStep[], job: number, fromMin: number): number {
  const schedule = around(day, steps, job, fromMin);
  for (let i = 0; i < day.jobs[job].steps.length; i++) {
    const [start] = schedule.startsOf(job);
    if (start === undefined) return Infinity;
    schedule.place(job, start);
  }
  return schedule.readyOf(job);
}

/**
 * The latest minute at which a job of a plan can begin and still be done by its due, all other jobs staying where the plan
 * has them; undefined where it cannot be in time at all. With the durations at their 90 % quantile it keeps the promise in
 * nine of ten. Ends rise with the start, so it is found by halving; whole minutes.
 */
export function latestStart(day: Day, steps: readonly PlacedStep[], jobId: string): number | undefined {
  const job = day.jobs.findIndex(({ id }) => id === jobId);
  if (job < 0) return undefined;
  const { dueMin, releaseMin } = day.jobs[job];
  const isInTime = (fromMin: number) => endFrom(day, steps, job, fromMin) <= dueMin;
  if (!isInTime(releaseMin)) return undefined;
  let [good, bad] = [releaseMin, Math.max(releaseMin + 1, dueMin + 1)];
  while (bad - good > 1) {
    const middle = Math.floor((good + bad) / 2);
    if (isInTime(middle)) good = middle;
    else bad = middle;
  }
  // When it begins, not when it may begin: the person is there only then.
  return around(day, steps, job, good).startsOf(job)[0];
}
