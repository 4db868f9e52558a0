import type { DayView } from '@/subjects/print/day';
import type { PlannedDay } from '@/workers';

/** Minutes across a rail: stretches in which nobody is there and nothing begins or ends are cut short. */
export interface Axis {
  /** Minutes that are drawn, cut stretches counted short. */
  readonly drawn: number;
  /** Where a minute lies, 0 … 1. */
  readonly shareOf: (minute: number) => number;
  /** The minute that lies there. */
  readonly minuteAt: (share: number) => number;
  /** Stretches that are cut short. */
  readonly cuts: readonly (readonly [from: number, to: number])[];
}

/** Longer idle stretches are cut to so many minutes. */
const LONGEST_IDLE_MIN = 150;
const CUT_MIN = 40;
const AROUND_MIN = 30;

/** What must be seen at full length: when somebody is there, and around each begin and end. */
function busyStretches({ day }: DayView, { plan }: PlannedDay, end: number): [number, number][] {
  const edges = plan.steps.flatMap(({ startMin, endMin }) => [startMin, endMin]);
  const all: [number, number][] = [
    [0, AROUND_MIN],
    ...day.presence.map(([from, to]): [number, number] => [from, to]),
    ...edges.map((edge): [number, number] => [edge - AROUND_MIN, edge + AROUND_MIN]),
  ];
  return all.filter(([from]) => from < end).sort((a, b) => a[0] - b[0]);
}

export function axisOf(view: DayView, planned: PlannedDay): Axis {
  const end = Math.max(240, planned.plan.worth.finishMin + AROUND_MIN);
  const cuts: [number, number][] = [];
  let seen = 0;
  for (const [from, to] of busyStretches(view, planned, end)) {
    if (from - seen > LONGEST_IDLE_MIN) cuts.push([seen, from]);
    seen = Math.max(seen, Math.min(to, end));
  }
  const drawnAt = (minute: number) =>
    cuts.reduce((sum, [from, to]) => {
      if (minute <= from) return sum;
      const within = Math.min(minute, to) - from;
      return sum - within + (within / (to - from)) * CUT_MIN;
    }, minute);
  const drawn = drawnAt(end);
  const shareOf = (minute: number) => Math.min(1, Math.max(0, drawnAt(minute) / drawn));
  return { drawn, shareOf, minuteAt, cuts };

  /** Found by halving: where a minute lies rises with it. */
  function minuteAt(share: number): number {
    let [low, high] = [0, end];
    for (let i = 0; i < 40; i++) {
      const middle = (low + high) / 2;
      if (shareOf(middle) < share) low = middle;
      else high = middle;
    }
    return high;
  }
}

/** Full hours that are marked, every so many that they do not run into each other; none in a cut. */
export function hoursOf(view: DayView, { drawn, shareOf, cuts }: Axis): number[] {
  const every = drawn > 36 * 60 ? 6 : drawn > 14 * 60 ? 2 : 1;
  const first = (60 - new Date(view.zero).getMinutes()) % 60;
  const hours: number[] = [];
  for (let minute = first; shareOf(minute) < 1; minute += 60) {
    const isCut = cuts.some(([from, to]) => minute > from && minute < to);
    const isFull = new Date(view.zero + 60_000 * minute).getHours() % every === 0;
    const last = hours.at(-1);
    const isFree = last === undefined || (shareOf(minute) - shareOf(last)) * drawn >= 50;
    if (!isCut && isFull && isFree) hours.push(minute);
    if (hours.length > 200) break;
  }
  return hours;
}
