import { fail, ok, type Result } from '@/core/kit';

/** How yellow a piece looks beside a white card after so many minutes of cure: 0 like the card, 5 amber. */
interface ShadeReading {
  readonly minutes: number;
  readonly shade: number;
}

export interface ShadeTest {
  readonly readings: readonly ShadeReading[];
  /** The shade that is still accepted. */
  readonly accepted: number;
}

export type ShadeIssue =
  | { readonly code: 'tooFewLoads'; readonly needed: number; readonly given: number }
  | { readonly code: 'allOneTime' };

export interface ShadeResult {
  /** Longest cure whose shade is still accepted, minutes. */
  readonly minutes: number;
  readonly low: number;
  readonly high: number;
  readonly bound?: 'atLeast' | 'atMost';
  /** Shades made to rise with time: neighbours out of order share their mean. */
  readonly curve: readonly ShadeReading[];
}

interface Pool {
  readonly from: number;
  readonly to: number;
  readonly shade: number;
  readonly weight: number;
}

/** Shade never falls with cure: pool adjacent violators. Source: Barlow et al., Statistical Inference under Order Restrictions (1972). */
function risingShades(readings: readonly ShadeReading[]): ShadeReading[] {
  const sorted = [...readings].sort((a, b) => a.minutes - b.minutes);
  const pools: Pool[] = [];
  for (const { minutes, shade } of sorted) {
    let pool: Pool = { from: minutes, to: minutes, shade, weight: 1 };
    while (
      pools.length > 0 &&
      (pools[pools.length - 1].shade > pool.shade || pools[pools.length - 1].to === pool.from)
    ) {
      const before = pools.pop()!;
      const weight = before.weight + pool.weight;
      pool = {
        from: before.from,
        to: pool.to,
        shade: (before.shade * before.weight + pool.shade * pool.weight) / weight,
        weight,
      };
    }
    pools.push(pool);
  }
  return pools.flatMap(({ from, to, shade }) =>
    from === to
      ? [{ minutes: from, shade }]
      : [
          { minutes: from, shade },
          { minutes: to, shade },
        ],
  );
}

/**
 * The longest cure before a clear resin is too yellow: where the rising shade crosses the accepted one, with the two cures
 * around it as its interval.
 */
export function yellowingLimit({ readings, accepted }: ShadeTest): Result<ShadeResult, ShadeIssue> {
  if (readings.length < 3) return fail({ code: 'tooFewLoads', needed: 3, given: readings.length });
  const curve = risingShades(readings);
  if (new Set(readings.map(({ minutes }) => minutes)).size < 2) return fail({ code: 'allOneTime' });
  const over = curve.findIndex(({ shade }) => shade > accepted);
  const last = curve[curve.length - 1].minutes;
  if (over < 0) return ok({ minutes: last, low: last, high: last, bound: 'atLeast', curve });
  if (over === 0) {
    const { minutes } = curve[0];
    return ok({ minutes, low: 0, high: minutes, bound: 'atMost', curve });
  }
  const [before, after] = [curve[over - 1], curve[over]];
  const share = (accepted - before.shade) / (after.shade - before.shade);
  const minutes = before.minutes + share * (after.minutes - before.minutes);
  return ok({ minutes, low: before.minutes, high: after.minutes, curve });
}
