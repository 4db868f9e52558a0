/** A day over stations and one person; all times whole minutes from one start. */
export interface DayStep {
  readonly id: string;
  /** Where it is done; left out: it takes no station. */
  readonly station?: string;
  readonly minutes: number;
  /** The person is needed for the first so many minutes, the last so many, or throughout. */
  readonly attendStartMin?: number;
  readonly attendEndMin?: number;
  readonly attended?: boolean;
  /** The station stays taken until the next step, on the same station, ends. */
  readonly holds?: boolean;
  /** Steps of several jobs with one key may go through their station together, where they begin at once and take as long. */
  readonly share?: string;
  /** At most so many go in together; left out: as many as come. */
  readonly shareUpTo?: number;
}

export interface DayJob {
  readonly id: string;
  readonly dueMin: number;
  readonly weight: number;
  readonly releaseMin: number;
  /** Somebody set its start: its first step begins at the release, or as soon after as it can, before all others are placed. */
  readonly isPinned?: boolean;
  /** In their order. */
  readonly steps: readonly DayStep[];
}

export interface Day {
  /** When the person is there. */
  readonly presence: readonly (readonly [from: number, to: number])[];
  readonly jobs: readonly DayJob[];
}

export interface PlacedStep {
  readonly job: string;
  readonly step: string;
  readonly startMin: number;
  readonly endMin: number;
}

/** How good a schedule is: weighted tardiness first, then the minute at which all is done. */
export interface Worth {
  readonly tardinessMin: number;
  readonly finishMin: number;
}

export function isBetter(a: Worth, b: Worth): boolean {
  return a.tardinessMin !== b.tardinessMin ? a.tardinessMin < b.tardinessMin : a.finishMin < b.finishMin;
}

/** A stretch that is taken; `until` may be open while a held station waits for the step that frees it. */
interface Taken {
  from: number;
  to: number;
  /** Job whose next step ends the hold. */
  heldBy?: number;
  /** Who may go in with it, and how many are in it. */
  share?: string;
  loads?: number;
}

/** Schedules steps one after another, each as early as possible, and can undo them. */
export class Schedule {
  private readonly stations = new Map<string, Taken[]>();
  private readonly busy: Taken[] = [];
  private readonly next: number[];
  private readonly ready: number[];
  readonly placed: (PlacedStep & { readonly jobIndex: number })[] = [];

  constructor(readonly day: Day) {
    this.next = day.jobs.map(() => 0);
    this.ready = day.jobs.map(({ releaseMin }) => releaseMin);
  }

  /** Jobs that have a step left. */
  open(): number[] {
    return [...this.next.keys()].filter((job) => this.next[job] < this.day.jobs[job].steps.length);
  }

  /** Minute from which the next step of a job can be. */
  readyOf(job: number): number {
    return this.ready[job];
  }

  stepsDone(job: number): number {
    return this.next[job];
  }

  /** The last step of a job holds its station: what frees it comes next. */
  isHolding(job: number): boolean {
    const done = this.next[job];
    return done > 0 && this.day.jobs[job].steps[done - 1].holds === true;
  }

  private stationOf(name: string | undefined): Taken[] {
    if (name === undefined) return [];
    const list = this.stations.get(name) ?? [];
    this.stations.set(name, list);
    return list;
  }

  /** The stretches in which the person must be there for a step that begins at `start`. */
  private attendance({ minutes, attendStartMin = 0, attendEndMin = 0, attended }: DayStep, start: number) {
    if (attended === true) return [[start, start + minutes] as const];
    const parts: (readonly [number, number])[] = [];
    if (attendStartMin > 0) parts.push([start, start + attendStartMin]);
    if (attendEndMin > 0) parts.push([start + minutes - attendEndMin, start + minutes]);
    return parts;
  }

  /** How much later than `from` a stretch must begin so that the person is there and free; Infinity: never. */
  private personDelay(from: number, to: number): number {
    if (to <= from) return 0;
    const clash = this.busy.find((each) => each.from < to && each.to > from);
    if (clash !== undefined) return clash.to - from;
    const window = this.day.presence.find(([, end]) => end >= to && end > from);
    if (window === undefined) return Infinity;
    return Math.max(0, window[0] - from);
  }

  /** How much later a stretch on a station must begin; own holds do not stand in the way. */
  private stationDelay(list: readonly Taken[], from: number, to: number, job: number): number {
    const clash = list.find((each) => each.heldBy !== job && each.from < to && each.to > from);
    return clash === undefined ? 0 : clash.to - from;
  }

  /** A load on a station that a step can join at or after `from`: the earliest one. */
  private loadToJoin({ station, share, minutes, shareUpTo = Infinity }: DayStep, from: number) {
    if (share === undefined) return undefined;
    return this.stationOf(station).find(
      (each) =>
        each.share === share &&
        each.from >= from &&
        each.to - each.from === minutes &&
        (each.loads ?? 1) < shareUpTo,
    );
  }

  /** The earliest start of a step at or after `from`, by itself or with a load that it may join; Infinity: there is none. */
  private earliest(step: DayStep, job: number, from: number): number {
    const joined = this.loadToJoin(step, from)?.from ?? Infinity;
    return Math.min(joined, this.earliestAlone(step, job, from));
  }

  private earliestAlone(step: DayStep, job: number, from: number): number {
    const station = this.stationOf(step.station);
    let start = from;
    for (;;) {
      let delay = this.stationDelay(station, start, start + step.minutes, job);
      for (const [a, b] of delay === 0 ? this.attendance(step, start) : []) {
        delay = this.personDelay(a, b);
        if (delay > 0) break;
      }
      if (delay === 0) return start;
      start += delay;
      if (!Number.isFinite(start)) return Infinity;
    }
  }

  /**
   * Starts at which the next step of a job can be: the earliest. A step that holds its station may also go into each later
   * stretch that is free: how long it will hold is not known yet.
   */
  startsOf(job: number): number[] {
    const step = this.day.jobs[job].steps[this.next[job]];
    const hold = this.stationOf(step.station).find(({ heldBy }) => heldBy === job);
    const first = this.earliest(step, job, this.ready[job]);
    if (!Number.isFinite(first)) return [];
    if (hold !== undefined && first + step.minutes > hold.to) return [];
    if (step.holds !== true || hold !== undefined) return [first];
    const starts = [first];
    for (const { to } of this.stationOf(step.station)) {
      if (!Number.isFinite(to) || to <= starts[starts.length - 1]) continue;
      const later = this.earliest(step, job, Math.max(to, this.ready[job]));
      if (Number.isFinite(later) && !starts.includes(later)) starts.push(later);
    }
    return starts;
  }

  /** Places the next step of a job; returns the function that undoes it. */
  place(job: number, start: number): () => void {
    const { id, steps } = this.day.jobs[job];
    const step = steps[this.next[job]];
    const end = start + step.minutes;
    const station = this.stationOf(step.station);
    const hold = station.find(({ heldBy }) => heldBy === job);
    const undo: (() => void)[] = [];
    const load = this.loadToJoin(step, start);
    const joins = load?.from === start;
    if (joins) {
      // The load that is there already holds the station and the person.
      load.loads = (load.loads ?? 1) + 1;
      undo.push(() => void load.loads!--);
    } else if (hold !== undefined && step.holds !== true) {
      const { to } = hold;
      hold.to = end;
      hold.heldBy = undefined;
      undo.push(() => {
        hold.to = to;
        hold.heldBy = job;
      });
    } else if (hold === undefined && step.station !== undefined) {
      const limit = Math.min(Infinity, ...station.filter(({ from }) => from >= end).map(({ from }) => from));
      const taken: Taken =
        step.holds === true
          ? { from: start, to: limit, heldBy: job }
          : { from: start, to: end, share: step.share };
      insert(station, taken);
      undo.push(() => void station.splice(station.indexOf(taken), 1));
    }
    for (const [from, to] of joins ? [] : this.attendance(step, start)) {
      const taken = { from, to };
      insert(this.busy, taken);
      undo.push(() => void this.busy.splice(this.busy.indexOf(taken), 1));
    }
    const ready = this.ready[job];
    this.ready[job] = end;
    this.next[job]++;
    this.placed.push({ job: id, step: step.id, startMin: start, endMin: end, jobIndex: job });
    return () => {
      this.placed.pop();
      this.next[job]--;
      this.ready[job] = ready;
      for (const each of undo.reverse()) each();
    };
  }

  /** Weighted tardiness and finish of what is placed: of jobs that are done their end, of others what is sure already. */
  worth(endOf: (job: number) => number = (job) => this.ready[job]): Worth {
    let [tardinessMin, finishMin] = [0, 0];
    this.day.jobs.forEach(({ dueMin, weight }, job) => {
      const end = endOf(job);
      tardinessMin += weight * Math.max(0, end - dueMin);
      finishMin = Math.max(finishMin, end);
    });
    return { tardinessMin, finishMin };
  }
}

function insert(list: Taken[], taken: Taken): void {
  const at = list.findIndex(({ from }) => from > taken.from);
  if (at < 0) list.push(taken);
  else list.splice(at, 0, taken);
}
