import { dayOf } from '@/core/kit/wording';
import { type Loss, type LossOfPrint, type Losses, sumLosses } from '@/core/log';
import { type Db, queries } from '@/store';
import type { HouseRules } from '@/subjects/workshop/settings';
import { lostWith } from './lost-with';

type House = Pick<HouseRules, 'schools' | 'run'>;

/** An ended run with how many of its pieces failed. */
export interface CountedRun {
  readonly run: queries.Run;
  readonly pieces: readonly unknown[];
  readonly count: number;
}

/** What a run lost: of its pieces those that failed, of a stopped one what was printed of it; undefined: nothing. */
export function lossOf({ run, pieces, count }: CountedRun, house: House): Loss | undefined {
  const { plan, outcome, stoppedLayer, startedAt, endedAt } = run;
  const isStopped = outcome === 'stopped';
  const lost = isStopped && count === 0 ? pieces.length : count;
  if (lost === 0 || plan === null || startedAt === null || endedAt === null) return undefined;
  const share = lost / pieces.length;
  const printed = isStopped && stoppedLayer !== null ? stoppedLayer / plan.layers : 1;
  const whole = {
    ...plan,
    plannedS: plan.plannedS * printed,
    resinMl: plan.resinMl * printed,
    layers: plan.layers * printed,
  };
  return {
    hours: (share * (endedAt.getTime() - startedAt.getTime()) * plan.speed) / 3_600_000,
    ml: share * whole.resinMl,
    money: share * lostWith(whole, pieces.length, house),
  };
}

/** What failed prints lost, by month, and by cause where one was found. */
export function lossesOf(db: Db, runs: readonly CountedRun[], house: House): Losses {
  const found = new Map(queries.listCausesFound(db).map(({ runId, cause }) => [runId, cause]));
  return sumLosses(
    runs.flatMap((counted): LossOfPrint[] => {
      const loss = lossOf(counted, house);
      if (loss === undefined) return [];
      const { id, endedAt } = counted.run;
      return [{ ...loss, cause: found.get(id), month: dayOf(endedAt!).slice(0, 7) }];
    }),
  );
}
