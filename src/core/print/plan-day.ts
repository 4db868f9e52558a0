import { type SeededRandom, seededRandom } from '@/core/kit/numerics';
import { fail, ok, type Result } from '@/core/kit';
import { type Day, isBetter, type PlacedStep, Schedule, type Worth } from './day';
import { boundOf } from './day-bound';

export interface DayPlan {
  readonly steps: readonly PlacedStep[];
  readonly worth: Worth;
  /** Nothing can be better than this. */
  readonly bound: Worth;
  /** Every order was looked at. */
  readonly exact: boolean;
}

export type DayIssue =
  | { readonly code: 'noSteps'; readonly job: string }
  | { readonly code: 'badMinutes'; readonly job: string; readonly step: string }
  | { readonly code: 'heldElsewhere'; readonly job: string; readonly step: string }
  | { readonly code: 'neverThere'; readonly job: string; readonly step: string };

export interface PlanOptions {
  readonly seed?: number;
  /** Orders that are looked at before the search for the best of all is given up. */
  readonly mostNodes?: number;
  /** Schedules that the search tries where not all orders can be looked at. */
  readonly tries?: number;
  /** Told how far it is, 0 to 1; true stops with the best so far. */
  readonly isStopped?: (share: number) => boolean;
}

/** What is wrong with a day, or undefined. */
export function findDayIssue({ jobs, presence }: Day): DayIssue | undefined {
  for (const { id: job, steps } of jobs) {
    if (steps.length === 0) return { code: 'noSteps', job };
    for (const [i, step] of steps.entries()) {
      const { id, minutes, attendStartMin = 0, attendEndMin = 0, attended, holds, station } = step;
      const numbers = [minutes, attendStartMin, attendEndMin];
      if (!numbers.every((each) => Number.isInteger(each) && each >= 0))
        return { code: 'badMinutes', job, step: id };
      if (Math.max(attendStartMin, attendEndMin) > minutes) return { code: 'badMinutes', job, step: id };
      if (holds === true && (station === undefined || steps[i + 1]?.station !== station))
        return { code: 'heldElsewhere', job, step: id };
      const atOnce = attended === true ? minutes : Math.max(attendStartMin, attendEndMin);
      if (atOnce > 0 && !presence.some(([from, to]) => to - from >= atOnce))
        return { code: 'neverThere', job, step: id };
    }
  }
  return undefined;
}

/** Minutes of work left in a job from a step on. */
function restOf(day: Day): number[][] {
  return day.jobs.map(({ steps }) => {
    const rest = new Array<number>(steps.length + 1).fill(0);
    for (let i = steps.length - 1; i >= 0; i--) rest[i] = rest[i + 1] + steps[i].minutes;
    return rest;
  });
}

interface Found {
  readonly worth: Worth;
  readonly steps: readonly PlacedStep[];
}

/** Looks at every order of steps, leaving out what cannot be better than the best so far. */
class EveryOrder {
  private nodes = 0;
  private readonly rest: number[][];
  isComplete = true;

  constructor(
    private readonly day: Day,
    private best: Found | undefined,
    private readonly bound: Worth,
    private readonly options: Required<Pick<PlanOptions, 'mostNodes'>> & PlanOptions,
  ) {
    this.rest = restOf(day);
  }

  search(): Found | undefined {
    this.from(scheduleOf(this.day));
    return this.best;
  }

  private isOver(): boolean {
    if (this.nodes < this.options.mostNodes) return false;
    this.isComplete = false;
    return true;
  }

  private isAtBound(): boolean {
    const { best, bound } = this;
    return best !== undefined && !isBetter(bound, best.worth);
  }

  private from(schedule: Schedule): void {
    this.nodes++;
    const open = schedule.open();
    if (open.length === 0) {
      const worth = schedule.worth();
      if (this.best === undefined || isBetter(worth, this.best.worth))
        this.best = { worth, steps: schedule.placed.map(toStep) };
      return;
    }
    const least = schedule.worth((job) => schedule.readyOf(job) + this.rest[job][schedule.stepsDone(job)]);
    if (this.best !== undefined && !isBetter(least, this.best.worth)) return;
    const choices = open.flatMap((job) => schedule.startsOf(job).map((start) => ({ job, start })));
    choices.sort((a, b) => a.start - b.start);
    for (const { job, start } of choices) {
      if (this.isOver() || this.isAtBound()) return;
      const undo = schedule.place(job, start);
      this.from(schedule);
      undo();
    }
  }
}

function toStep({ job, step, startMin, endMin }: PlacedStep): PlacedStep {
  return { job, step, startMin, endMin };
}

/**
 * Places the next step of a job as early as it can be; with a step that holds its station those that free it, in the first
 * stretch where all of them fit. False where there is none.
 */
function placeTurn(schedule: Schedule, job: number): boolean {
  for (const start of schedule.startsOf(job)) {
    const undo = schedule.place(job, start);
    if (!schedule.isHolding(job) || placeTurn(schedule, job)) return true;
    undo();
  }
  return false;
}

/** A schedule with what was pinned placed, the earliest first; nothing else yet. */
function scheduleOf(day: Day): Schedule {
  const schedule = new Schedule(day);
  [...day.jobs.keys()]
    .filter((job) => day.jobs[job].isPinned === true)
    .sort((a, b) => day.jobs[a].releaseMin - day.jobs[b].releaseMin)
    .forEach((job) => placeTurn(schedule, job));
  return schedule;
}

/** A schedule with the turns of jobs that make it. */
interface Ordered extends Found {
  readonly order: readonly number[];
}

/** Turns in an order of jobs, a job as often as it has turns: of each the next is placed as early as it can be. */
function byOrder(day: Day, order: readonly number[]): Ordered | undefined {
  const schedule = scheduleOf(day);
  const pinned = new Set([...day.jobs.keys()].filter((job) => day.jobs[job].isPinned === true));
  for (const job of order) {
    // The first turn of a pinned job was placed before all others.
    if (pinned.delete(job)) continue;
    if (!placeTurn(schedule, job)) return undefined;
  }
  return { worth: schedule.worth(), steps: schedule.placed.map(toStep), order };
}

/** As one does it by hand: of the steps that could begin soonest, that of the job which stands first by the rule. */
function byRule(day: Day, priority: readonly number[]): Ordered | undefined {
  const schedule = scheduleOf(day);
  const order = [...day.jobs.keys()].filter((job) => day.jobs[job].isPinned === true);
  for (let open = schedule.open(); open.length > 0; open = schedule.open()) {
    const soonest = new Map(open.map((job) => [job, schedule.startsOf(job)[0] ?? Infinity]));
    const first = Math.min(...soonest.values());
    const job = priority.find((each) => soonest.get(each) === first)!;
    if (!placeTurn(schedule, job)) return undefined;
    order.push(job);
  }
  return { worth: schedule.worth(), steps: schedule.placed.map(toStep), order };
}

/** Rules that one would use by hand, as orders of jobs. */
function rulesOf({ jobs }: Day): { readonly name: string; readonly priority: number[] }[] {
  const work = jobs.map(({ steps }) => steps.reduce((sum, { minutes }) => sum + minutes, 0));
  const by = (value: (job: number) => number) =>
    [...jobs.keys()].sort((a, b) => value(a) - value(b) || a - b);
  return [
    { name: 'first come, first served', priority: by((job) => jobs[job].releaseMin) },
    { name: 'shortest', priority: by((job) => work[job]) },
    { name: 'earliest due date', priority: by((job) => jobs[job].dueMin) },
    {
      name: 'least weighted slack',
      priority: by((job) => (jobs[job].dueMin - work[job]) / jobs[job].weight),
    },
    { name: 'shortest weighted time', priority: by((job) => work[job] / jobs[job].weight) },
  ];
}

/** What each rule of hand makes of a day. */
export function dispatchRules(day: Day): { readonly name: string; readonly worth: Worth }[] {
  return rulesOf(day).flatMap(({ name, priority }) => {
    const found = byRule(day, priority);
    return found === undefined ? [] : [{ name, worth: found.worth }];
  });
}

/** All turns of a job, then those of the next: what frees a held station is of the turn that takes it. */
function inBlocks({ jobs }: Day, priority: readonly number[]): number[] {
  return priority.flatMap((job) =>
    jobs[job].steps.flatMap((_, i) => (jobs[job].steps[i - 1]?.holds === true ? [] : [job])),
  );
}

/** Moves one turn of the order to another place, or has two turns change places. */
function moved(order: readonly number[], random: SeededRandom): number[] {
  const changed = [...order];
  const [from, to] = [0, 1].map(() => Math.floor(random.uniform() * order.length));
  if (random.uniform() < 0.5) {
    [changed[from], changed[to]] = [changed[to], changed[from]];
    return changed;
  }
  const [job] = changed.splice(from, 1);
  changed.splice(to, 0, job);
  return changed;
}

/** Worse schedules are taken up with a chance that falls as the search goes on (simulated annealing). */
function localSearch(
  day: Day,
  bound: Worth,
  { seed = 1, tries = 4000, isStopped }: PlanOptions,
): Found | undefined {
  const random = seededRandom(seed);
  const starts = rulesOf(day).flatMap(({ priority }) => [
    byOrder(day, inBlocks(day, priority)) ?? [],
    byRule(day, priority) ?? [],
  ]);
  const [first, ...others] = starts.flat();
  if (first === undefined) return undefined;
  let current: Ordered = others.reduce((a, b) => (isBetter(b.worth, a.worth) ? b : a), first);
  let best: Found = current;
  const valueOf = ({ worth }: Found) => worth.tardinessMin + 0.01 * worth.finishMin;
  const heat = 0.05 * Math.max(1, valueOf(best));
  for (let i = 0; i < tries; i++) {
    if (i % 64 === 0 && (isStopped?.(i / tries) === true || !isBetter(bound, best.worth))) break;
    const found = byOrder(day, moved(current.order, random));
    if (found === undefined) continue;
    const worse = valueOf(found) - valueOf(current);
    const temperature = heat * (1 - i / tries) ** 2 + 1e-9;
    if (worse <= 0 || random.uniform() < Math.exp(-worse / temperature)) current = found;
    if (isBetter(found.worth, best.worth)) best = found;
  }
  return best;
}

const MOST_NODES = 200_000;
/** More steps than this are not looked at in every order. */
const MOST_STEPS_EXACT = 14;

/**
 * Plans a day: least weighted tardiness, then the earliest finish. Every order is tried where that is possible (few
 * steps, or the bound is reached); otherwise the best of the usual rules and of a seeded search, with a valid bound.
 * Equal inputs and seed give equal plans.
 */
export function planDay(day: Day, options: PlanOptions = {}): Result<DayPlan, DayIssue> {
  const issue = findDayIssue(day);
  if (issue !== undefined) return fail(issue);
  const bound = boundOf(day);
  if (day.jobs.length === 0) return ok({ steps: [], worth: bound, bound, exact: true });
  const steps = day.jobs.reduce((sum, job) => sum + job.steps.length, 0);
  const rough = localSearch(day, bound, steps <= MOST_STEPS_EXACT ? { ...options, tries: 400 } : options);
  if (rough !== undefined && !isBetter(bound, rough.worth)) return ok(planOf(rough, rough.worth, true));
  if (steps <= MOST_STEPS_EXACT) {
    const orders = new EveryOrder(day, rough, bound, { mostNodes: MOST_NODES, ...options });
    const best = orders.search();
    if (best !== undefined)
      return ok(planOf(best, orders.isComplete ? best.worth : bound, orders.isComplete));
  }
  if (rough === undefined) return fail(lastStepOf(day));
  return ok(planOf(rough, bound, false));
}

function planOf({ steps, worth }: Found, bound: Worth, exact: boolean): DayPlan {
  const sorted = [...steps].sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin);
  return { steps: sorted, worth, bound, exact };
}

/** The person is not there often enough to get through everything: said of the last step of the longest job. */
function lastStepOf({ jobs }: Day): DayIssue {
  const longest = jobs.reduce((a, b) => (b.steps.length > a.steps.length ? b : a));
  return { code: 'neverThere', job: longest.id, step: longest.steps[longest.steps.length - 1].id };
}
