import { type Day, Schedule, type Worth } from './day';

/** When a job would be done if it were alone: nothing can be earlier. */
function endsAlone(day: Day): number[] {
  return day.jobs.map((job) => {
    const schedule = new Schedule({ ...day, jobs: [job] });
    while (schedule.open().length > 0) {
      const [start] = schedule.startsOf(0);
      if (start === undefined) return Infinity;
      schedule.place(0, start);
    }
    return schedule.readyOf(0);
  });
}

/** Minutes of work that a station has with each job, what comes before it there and what follows it. */
function loadsOf(day: Day) {
  const loads = new Map<string, { minutes: number; head: number; tail: number; job: number }[]>();
  day.jobs.forEach(({ steps, releaseMin }, job) => {
    const names = new Set(steps.flatMap(({ station }) => station ?? []));
    for (const name of names) {
      const own = steps.flatMap((step, i) => (step.station === name ? [i] : []));
      const sum = (from: number, to: number) =>
        steps.slice(from, to).reduce((total, { minutes }) => total + minutes, 0);
      const list = loads.get(name) ?? [];
      loads.set(name, list);
      list.push({
        job,
        minutes: own.reduce((total, i) => total + steps[i].minutes, 0),
        head: releaseMin + sum(0, own[0]),
        tail: sum(own[own.length - 1] + 1, steps.length),
      });
    }
  });
  return [...loads.values()];
}

/**
 * What no schedule can beat: each job alone; and of each station, that the k-th job to leave it cannot do so before its k
 * shortest loads are through, matched with due days in order at the least weight (after C. Chu, *Naval Research Logistics*
 * 39, 1992). The last can be no earlier than all loads of a station one after another.
 */
export function boundOf(day: Day): Worth {
  const alone = endsAlone(day);
  const jobs = day.jobs;
  let tardinessMin = jobs.reduce(
    (sum, { dueMin, weight }, i) => sum + weight * Math.max(0, alone[i] - dueMin),
    0,
  );
  let finishMin = Math.max(0, ...alone);
  for (const loads of loadsOf(day)) {
    const least = Math.min(...loads.map(({ job }) => jobs[job].weight));
    const first = Math.min(...loads.map(({ head }) => head));
    const tail = Math.min(...loads.map((load) => load.tail));
    const dues = loads.map(({ job }) => jobs[job].dueMin).sort((a, b) => a - b);
    let through = first;
    let late = 0;
    [...loads]
      .sort((a, b) => a.minutes - b.minutes)
      .forEach(({ minutes }, k) => {
        through += minutes;
        late += least * Math.max(0, through + tail - dues[k]);
      });
    tardinessMin = Math.max(tardinessMin, late);
    finishMin = Math.max(finishMin, through + tail);
  }
  return { tardinessMin, finishMin };
}
