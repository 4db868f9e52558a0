import { areDifferent, type Count, type Interval, jeffreysInterval, pooledRates } from '@/core/log';
import { groupBy } from '@/core/kit';
import { type Db, queries } from '@/store';

/** How often prints come out, by something. */
export interface Rate extends Count, Interval {
  readonly name: string;
  /** Drawn towards the others as far as few prints speak for it. */
  readonly pooled: number;
}

/** What rates are asked by. */
export const RATES_BY = ['profile', 'resin', 'standing', 'height'] as const;
export type RatesBy = (typeof RATES_BY)[number];

/** Rates of the groups that there are, and which two of them differ for sure; standings and heights by their code. */
export interface RateGroup {
  readonly by: RatesBy;
  readonly rates: readonly Rate[];
  /** The best against the worst, where 95 % of their difference lies on one side. */
  readonly differ?: readonly [better: string, worse: string];
}

/** An ended run as rates count it. */
export interface RatedRun {
  readonly id: number;
  readonly isGood: boolean;
  readonly profile: string;
  readonly resin: string;
  /** Height of its plate, mm; undefined where nobody planned it. */
  readonly heightMm?: number;
}

export type Standing = 'plate' | 'supports' | 'inFile' | 'mixed';
export type HeightClass = 'low' | 'middle' | 'tall';

/** A plate is low up to the first, tall above the second, mm. */
const LOW_MM = 10;
const TALL_MM = 40;

/** By height of the plate. */
function heightClass(heightMm: number | undefined): HeightClass | undefined {
  if (heightMm === undefined) return undefined;
  if (heightMm <= LOW_MM) return 'low';
  return heightMm <= TALL_MM ? 'middle' : 'tall';
}

/** The print setup of the pieces of each print; prints without a recorded one are left out. */
function standingsOf(db: Db, runIds: readonly number[]): ReadonlyMap<number, Standing> {
  const kinds = groupBy(queries.listStandings(db, runIds), ({ runId }) => runId);
  return new Map(
    [...kinds].flatMap(([runId, rows]) => {
      const [first, ...others] = new Set(rows.flatMap(({ stance }) => stance?.kind ?? []));
      return first === undefined ? [] : [[runId, others.length > 0 ? 'mixed' : first] as const];
    }),
  );
}

function groupOf(
  by: RatesBy,
  runs: readonly RatedRun[],
  nameOf: (run: RatedRun) => string | undefined,
): RateGroup[] {
  const named = runs.flatMap((run) => {
    const name = nameOf(run);
    return name === undefined ? [] : [{ name, isGood: run.isGood }];
  });
  const counts = [...groupBy(named, ({ name }) => name)].map(([name, own]) => ({
    name,
    k: own.filter(({ isGood }) => isGood).length,
    n: own.length,
  }));
  if (counts.length < 2) return [];
  const pooled = pooledRates(counts);
  const rates = counts
    .map((count, i) => ({ ...count, ...jeffreysInterval(count), pooled: pooled[i].mean }))
    .sort((a, b) => b.pooled - a.pooled);
  const [best, worst] = [rates[0], rates[rates.length - 1]];
  const pairs = (rates.length * (rates.length - 1)) / 2;
  return [{ by, rates, differ: areDifferent(best, worst, pairs) ? [best.name, worst.name] : undefined }];
}

/** Rates by everything that the runs differ in. */
export function ratesOfRuns(db: Db, runs: readonly RatedRun[]): RateGroup[] {
  const standings = standingsOf(
    db,
    runs.map(({ id }) => id),
  );
  const nameOf: Readonly<Record<RatesBy, (run: RatedRun) => string | undefined>> = {
    profile: ({ profile }) => profile,
    resin: ({ resin }) => resin,
    standing: ({ id }) => standings.get(id),
    height: ({ heightMm }) => heightClass(heightMm),
  };
  return RATES_BY.flatMap((by) => groupOf(by, runs, nameOf[by]));
}
