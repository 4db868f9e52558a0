import { keepAnswer } from '@/core/kit';
import {
  type Count,
  type Interval,
  jeffreysInterval,
  type Losses,
  type Where,
  whereItFails,
} from '@/core/log';
import { type Db, queries } from '@/store';
import type { HouseRules } from '@/subjects/workshop/settings';
import { type PrintChance, printChances } from '@/subjects/print/plate';
import { type FailedHeight, heightsOf, layersOf } from './view-heights';
import { lossesOf } from './view-losses';
import { type RatedRun, type RateGroup, ratesOfRuns } from './view-rates';

/** A failed piece among all that were printed, for the plan of the plate. */
export interface PlacedFailure {
  readonly runId: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly failed: boolean;
}

type House = Pick<HouseRules, 'schools' | 'run'>;

/** The log of a printer. */
export interface LogView {
  readonly printer: {
    readonly id: number;
    readonly name: string;
    readonly plateMm?: readonly [number, number, number];
  };
  readonly runs: readonly {
    readonly id: number;
    readonly endedAt: Date;
    readonly pieces: number;
    readonly failed: number;
    readonly outcome: 'done' | 'stopped';
    readonly kinds: readonly queries.Failure['kind'][];
    readonly isLookedAt: boolean;
  }[];
  /** The profile that was printed with last: a new film is noted under it. */
  readonly profileId: number;
  readonly where: Where;
  readonly places: readonly PlacedFailure[];
  readonly prints: Count & Interval;
  readonly rates: readonly RateGroup[];
  /** Of single pieces, as planning uses it. */
  readonly pieces: PrintChance;
  readonly losses: Losses;
  readonly heights: readonly FailedHeight[];
}

const NO_PRINT: Interval = { low: 0, high: 1 };

/** So many of the newest prints are read together. */
const MOST_PRINTS = 400;

/** Ended runs of a printer with what failed of each. */
function readRuns(db: Db, printerId: number) {
  const rows = queries.listRunsWithPieces(db, printerId, { most: MOST_PRINTS });
  const failures = queries.listFailures(
    db,
    rows.map(({ run }) => run.id),
  );
  const failedOf = (runId: number) => {
    const own = failures.filter((failure) => failure.runId === runId);
    return {
      own,
      whole: own.some(({ pieceId }) => pieceId === null),
      of: new Set(own.map(({ pieceId }) => pieceId)),
    };
  };
  return rows.map(({ run, profile, pieces }) => {
    const { own, whole, of } = failedOf(run.id);
    const failed = pieces.map(({ id }) => whole || of.has(id));
    return { run, profile, pieces, own, failed, count: failed.filter(Boolean).length };
  });
}

/** A run as rates count it. */
function ratedRun(
  { run, profile }: ReturnType<typeof readRuns>[number],
  isGood: boolean,
  names: ReadonlyMap<number, { readonly resin: string; readonly name: string }>,
): RatedRun {
  const { resin = '', name = '' } = names.get(profile.id) ?? {};
  const { id, plan } = run;
  const heightMm = plan === null ? undefined : plan.layers * plan.program.layerMm;
  return { id, isGood, profile: `${resin}, ${name}`, resin, heightMm };
}

/** So many of the newest prints that failed are asked together where they did. */
const MOST_FAILED = 40;

/**
 * Where the newest prints that failed did so. The question is put by thousands of draws, so its answer is kept; areas of
 * layers are read only when it is put, as those of an ended print do not change.
 */
function whereOf(
  db: Db,
  runs: ReturnType<typeof readRuns>,
  plateMm: queries.Printer['rooms']['plate'],
): Where {
  const failing = runs.filter(({ failed }) => failed.some(Boolean)).slice(0, MOST_FAILED);
  const ask = {
    plate: failing.map(({ pieces, failed }) => ({
      places: pieces.map(({ xMm, yMm }) => [xMm, yMm]),
      failed: failed.flatMap((each, i) => (each ? [i] : [])),
    })),
    halfPlateMm: plateMm && ([plateMm[0] / 2, plateMm[1] / 2] as const),
  };
  const question = { where: failing.map(({ run }) => run.id), ...ask, layers: heightsOf(runs) };
  return keepAnswer(db, question, () => whereItFails({ ...ask, layers: layersOf(db, runs) }));
}

/** What a printer's prints came to: where they fail, how often they come out. Undefined where there is no such printer. */
export function viewLog(db: Db, printerId: number, { schools, run }: House): LogView | undefined {
  const profiles = queries.listProfiles(db).filter(({ printer }) => printer.id === printerId);
  if (profiles.length === 0) return undefined;
  const names = profiles.map(({ profile, resin }) => [profile.id, resin.name, profile.name]);
  const question = ['log', queries.logKey(db), profiles[0].printer, names, schools, run];
  return keepAnswer(db, question, () => readLog(db, profiles, { schools, run }));
}

function readLog(db: Db, profiles: readonly queries.ProfileRow[], house: House): LogView {
  const { printer } = profiles[0];
  const printerId = printer.id;
  const names = new Map(
    profiles.map(({ profile, resin }) => [profile.id, { resin: resin.name, name: profile.name }]),
  );
  const runs = readRuns(db, printerId);
  const plateMm = printer.rooms.plate;
  const isGood = ({ run, own }: (typeof runs)[number]) => run.outcome === 'done' && own.length === 0;
  const prints = { k: runs.filter(isGood).length, n: runs.length };
  return {
    printer: { id: printer.id, name: printer.name, plateMm },
    profileId: runs[0]?.profile.id ?? profiles[0].profile.id,
    runs: runs.map(({ run, pieces, own, count }) => ({
      id: run.id,
      endedAt: run.endedAt!,
      pieces: pieces.length,
      failed: count,
      outcome: run.outcome!,
      kinds: [...new Set(own.map(({ kind }) => kind))],
      isLookedAt: run.wellAt !== null || own.length > 0,
    })),
    where: whereOf(db, runs, plateMm),
    places: runs.flatMap(({ run, pieces, failed }) =>
      pieces.map(({ xMm, yMm }, i) => ({ runId: run.id, xMm, yMm, failed: failed[i] })),
    ),
    prints: { ...prints, ...(prints.n === 0 ? NO_PRINT : jeffreysInterval(prints)) },
    rates: ratesOfRuns(
      db,
      runs.map((each) => ratedRun(each, isGood(each), names)),
    ),
    pieces: printChances(db, house.run.commonShare)(printerId),
    losses: lossesOf(db, runs, house),
    heights: heightsOf(runs),
  };
}
