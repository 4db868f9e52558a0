import { describe, expect, test } from '@jest/globals';
import { type SeededRandom, seededRandom } from '@/core/kit/numerics';
import { expectOk } from '@/core/kit';
import { parseDayJson } from '@/subjects/print/postprocess/shared';
import { readReferenceJson } from '@/testing/reference';
import { type Day, type DayJob, type DayStep, dispatchRules, type PlacedStep, planDay } from '../index';

interface ReferenceDay {
  readonly expected: { readonly tardiness_min: number; readonly finish_min: number };
}

const { cases } = readReferenceJson<{ cases: ReferenceDay[] }>('day.json');

const toDay = (given: ReferenceDay): Day => expectOk(parseDayJson(JSON.stringify(given)));

/** Minutes in which a step needs the person. */
function attended(step: DayStep, start: number): number[] {
  const { minutes, attendStartMin = 0, attendEndMin = 0 } = step;
  return Array.from({ length: minutes }, (_, i) => i)
    .filter((i) => step.attended === true || i < attendStartMin || i >= minutes - attendEndMin)
    .map((i) => start + i);
}

/** Takes minutes of something that only one may have; says when one of them is taken. */
class Single {
  private readonly by = new Map<number, string>();

  take(minutes: readonly number[], who: string): number | undefined {
    const clash = minutes.find((minute) => (this.by.get(minute) ?? who) !== who);
    for (const minute of minutes) this.by.set(minute, who);
    return clash;
  }
}

const between = (from: number, to: number) =>
  Array.from({ length: Math.max(0, to - from) }, (_, i) => from + i);

/** Whether a schedule keeps every rule, minute by minute; written without the planner. */
function broken(day: Day, placed: readonly PlacedStep[]): string | undefined {
  const person = new Single();
  const stations = new Map<string, Single>();
  const present = (minute: number) => day.presence.some(([from, to]) => minute >= from && minute < to);
  const stepOf = (job: DayJob, i: number) =>
    placed.find((each) => each.job === job.id && each.step === job.steps[i]?.id);
  const faultOf = (job: DayJob, i: number): string | undefined => {
    const step = job.steps[i];
    const own = stepOf(job, i);
    if (own === undefined) return 'missing';
    if (own.startMin < (stepOf(job, i - 1)?.endMin ?? job.releaseMin)) return 'too early';
    if (own.endMin !== own.startMin + step.minutes) return 'of another length';
    const hands = attended(step, own.startMin);
    if (!hands.every(present)) return 'while nobody is there';
    if (person.take(hands, `${job.id} ${step.id}`) !== undefined) return 'with a third hand';
    const until = step.holds === true ? stepOf(job, i + 1)!.endMin : own.endMin;
    const station = stations.get(step.station!) ?? new Single();
    stations.set(step.station!, station);
    return station.take(between(own.startMin, until), job.id) === undefined
      ? undefined
      : 'on a taken station';
  };
  const faults = day.jobs.flatMap((job) =>
    job.steps.flatMap((step, i) => {
      const fault = faultOf(job, i);
      return fault === undefined ? [] : `${job.id} ${step.id} is ${fault}`;
    }),
  );
  return faults[0];
}

function randomDay(random: SeededRandom, jobs: number, stations: readonly string[]): Day {
  const upTo = (most: number) => Math.floor(random.uniform() * (most + 1));
  const make = (i: number): DayJob => {
    const printer = stations[upTo(1)];
    const minutes = 5 + upTo(40);
    const steps: DayStep[] = [
      { id: 'print', station: printer, minutes, attendStartMin: upTo(5), holds: true },
      { id: 'unload', station: printer, minutes: 3 + upTo(4), attended: true },
      { id: 'wash', station: 'wash', minutes: 5 + upTo(15), attendStartMin: upTo(3), attendEndMin: upTo(2) },
    ];
    return { id: `j${i}`, dueMin: 30 + upTo(80), weight: 1 + upTo(2), releaseMin: upTo(20), steps };
  };
  return {
    presence: [
      [0, 60 + upTo(40)],
      [150, 260],
      [300, 900],
    ],
    jobs: Array.from({ length: jobs }, (_, i) => make(i)),
  };
}

const HORIZON = 1000;

/** Who has each minute of the person and of the stations; written without the planner. */
class Minutes {
  private readonly person = new Uint8Array(HORIZON);
  private readonly stations = new Map<string, Int8Array>();

  constructor(private readonly day: Day) {
    for (let minute = 0; minute < HORIZON; minute++)
      this.person[minute] = day.presence.some(([from, to]) => minute >= from && minute < to) ? 0 : 1;
  }

  private station(name: string): Int8Array {
    const known = this.stations.get(name) ?? new Int8Array(HORIZON).fill(-1);
    this.stations.set(name, known);
    return known;
  }

  /** Takes a step's minutes, its station's from `heldFrom` on; gives what frees them, or undefined where one is taken. */
  take(job: number, step: DayStep, start: number, heldFrom: number): (() => void) | undefined {
    const end = start + step.minutes;
    const station = this.station(step.station!);
    if (end >= HORIZON) return undefined;
    for (let minute = heldFrom; minute < end; minute++)
      if (station[minute] !== -1 && station[minute] !== job) return undefined;
    const hands = attended(step, start);
    if (hands.some((minute) => this.person[minute] === 1)) return undefined;
    const own = [...station.subarray(heldFrom, end)];
    station.fill(job, heldFrom, end);
    for (const minute of hands) this.person[minute] = 1;
    return () => {
      station.set(own, heldFrom);
      for (const minute of hands) this.person[minute] = 0;
    };
  }
}

/**
 * The best of every order, start after start: of a step that holds its station the first start of every stretch in which it
 * could begin, of all others the earliest.
 */
function enumerate(day: Day): { tardinessMin: number; finishMin: number } {
  let best = { tardinessMin: Infinity, finishMin: Infinity };
  const minutes = new Minutes(day);
  const done = day.jobs.map(() => 0);
  const ends = day.jobs.map(({ releaseMin }) => releaseMin);
  const visit = () => {
    if (day.jobs.every(({ steps }, job) => done[job] === steps.length)) {
      const tardinessMin = day.jobs.reduce(
        (sum, { weight, dueMin }, job) => sum + weight * Math.max(0, ends[job] - dueMin),
        0,
      );
      const finishMin = Math.max(...ends);
      const better =
        tardinessMin < best.tardinessMin ||
        (tardinessMin === best.tardinessMin && finishMin < best.finishMin);
      if (better) best = { tardinessMin, finishMin };
      return;
    }
    day.jobs.forEach(({ steps }, job) => {
      const step = steps[done[job]];
      if (step === undefined) return;
      const holding = steps[done[job] - 1]?.holds === true;
      const ready = ends[job];
      let wasFree = false;
      for (let start = ready; start < 330; start++) {
        const free = minutes.take(job, step, start, holding ? ready : start);
        const isFirst = free !== undefined && !wasFree;
        wasFree = free !== undefined;
        if (isFirst) {
          done[job]++;
          ends[job] = start + step.minutes;
          visit();
          done[job]--;
          ends[job] = ready;
        }
        free?.();
        if (isFirst && step.holds !== true) break;
      }
    });
  };
  visit();
  return best;
}

describe('the day', () => {
  test.each(cases.map((each, i) => [i, each] as const))('reference day %i has its optimum', (_i, given) => {
    const day = toDay(given);
    const plan = expectOk(planDay(day));
    expect(broken(day, plan.steps)).toBeUndefined();
    expect(plan.exact).toBe(true);
    expect(plan.worth).toEqual({
      tardinessMin: given.expected.tardiness_min,
      finishMin: given.expected.finish_min,
    });
  });

  test('200 small days are as good as the best of every order', () => {
    const random = seededRandom(3);
    for (let i = 0; i < 200; i++) {
      const day = randomDay(random, 2, ['A', 'B']);
      const plan = expectOk(planDay(day, { seed: i }));
      expect(broken(day, plan.steps)).toBeUndefined();
      expect({ i, ...plan.worth }).toEqual({ i, ...enumerate(day) });
      expect(plan.exact).toBe(true);
    }
  });

  test('20 jobs over four stations: feasible, never worse than the rules of hand, the same again, within its bound', () => {
    const random = seededRandom(8);
    const day = {
      ...randomDay(random, 20, ['A', 'B']),
      presence: [
        [0, 600],
        [1440, 2040],
        [2880, 3480],
      ] as const,
    };
    const plan = expectOk(planDay(day, { tries: 800 }));
    expect(broken(day, plan.steps)).toBeUndefined();
    expect(expectOk(planDay(day, { tries: 800 }))).toEqual(plan);
    expect(plan.worth.tardinessMin).toBeGreaterThanOrEqual(plan.bound.tardinessMin);
    expect(plan.worth.finishMin).toBeGreaterThanOrEqual(plan.bound.finishMin);
    const rules = dispatchRules(day);
    expect(rules).toHaveLength(5);
    for (const { worth } of rules) expect(plan.worth.tardinessMin).toBeLessThanOrEqual(worth.tardinessMin);
    // Stopped at once, the best of the rules is there.
    const stopped = expectOk(planDay(day, { isStopped: () => true }));
    expect(broken(day, stopped.steps)).toBeUndefined();
    for (const { worth } of rules) expect(stopped.worth.tardinessMin).toBeLessThanOrEqual(worth.tardinessMin);
  });

  test('what cannot be is said by its job and step', () => {
    const step = { id: 'print', station: 'A', minutes: 60, attended: true };
    const job = { id: 'rack', dueMin: 100, weight: 1, releaseMin: 0, steps: [step] };
    const issueOf = (day: Day) => {
      const plan = planDay(day);
      return plan.ok ? undefined : plan.issue;
    };
    expect(issueOf({ presence: [], jobs: [job] })).toEqual({
      code: 'neverThere',
      job: 'rack',
      step: 'print',
    });
    expect(issueOf({ presence: [[0, 90]], jobs: [{ ...job, steps: [] }] })).toEqual({
      code: 'noSteps',
      job: 'rack',
    });
    const half = { ...step, minutes: 1.5 };
    expect(issueOf({ presence: [[0, 90]], jobs: [{ ...job, steps: [half] }] })?.code).toBe('badMinutes');
    const held = { ...step, holds: true };
    expect(issueOf({ presence: [[0, 90]], jobs: [{ ...job, steps: [held] }] })?.code).toBe('heldElsewhere');
    expect(expectOk(planDay({ presence: [], jobs: [] })).steps).toEqual([]);
  });
});
