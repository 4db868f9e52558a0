import { keysOf } from '@/core/kit';
import { evidenceOfFindings, type Finding } from '@/core/part/findings';
import {
  afterTest,
  type ByCause,
  type Cause,
  type CauseTables,
  type Circumstances,
  costedTests,
  gatherEvidence,
  type Loss,
  namedCause,
  type PrintSeen,
  priorOf,
  rankTests,
  readFailure,
  type Reason,
  type SeenEvidence,
  tablesOf,
  type TestName,
  type TestWorth,
  type Where,
  whereOnPlate,
} from '@/core/log';
import { evidenceOf } from '@/core/resin';
import type { SettingChange } from '@/core/print';
import { type Db, queries } from '@/store';
import { listFindings } from '@/subjects/part';
import { viewJobUnlearned } from '@/subjects/job/jobs';
import { findShelved, resinFile } from '@/subjects/resin/shelf';
import type { HouseRules } from '@/subjects/workshop/settings';
import { lostWith } from './lost-with';
import { plateAreas, viewItems } from '@/subjects/print/plate';
import { maintenanceCounts } from './view-maintenance';
import { changesSince, type NotedChange, notedSince } from './view-changes';
import { lossOf } from './view-losses';

type RunWithPieces = queries.RunWithPieces;

/** A test that was made, or that could be. */
export interface TestView extends TestWorth<TestName> {
  readonly hours: number;
  readonly outcome?: string;
}

/** A failed run as it is read: what was noted, where, why, and what would tell. */
export interface CaseView {
  readonly run: queries.Run;
  readonly failures: readonly queries.Failure[];
  readonly where: Where;
  /** Failed prints of this printer that were looked at together, this one too. */
  readonly printsLookedAt: number;
  /** Likeliest first. */
  readonly causes: readonly { readonly cause: Cause; readonly chance: number }[];
  readonly named?: Cause;
  readonly reasons: readonly Reason<Cause, SeenEvidence>[];
  /** The most telling first; those made have an outcome. */
  readonly tests: readonly TestView[];
  /** What Check had said where it failed. */
  readonly checked: readonly { readonly job: string; readonly finding: Finding }[];
  /** What differs from the last good run of this printer; undefined: there was none. */
  readonly changes?: readonly SettingChange[];
  /** What was noted as changed of its profile since then, with the reason. */
  readonly noted: readonly NotedChange[];
  readonly found?: Cause;
  /** Layers of the plate, mm², where it failed at a known one. */
  readonly height?: {
    readonly layer: number;
    readonly areasMm2: readonly number[];
    readonly layerMm: number;
  };
  /** What it took; undefined where it was not planned here. */
  readonly loss?: Loss;
  /** Chances and reasons used, the defaults or those in the settings. */
  readonly tables: CauseTables;
}

type House = Pick<HouseRules, 'schools' | 'care' | 'run' | 'causes'>;

/** Failures of a print, those of one piece once: two people may have recorded the same. */
function byPiece(failures: readonly queries.Failure[], runId: number) {
  const own = failures.filter((failure) => failure.runId === runId);
  return {
    whole: own.find(({ pieceId }) => pieceId === null),
    of: new Map(
      own.toReversed().flatMap((failure) => (failure.pieceId === null ? [] : [[failure.pieceId, failure]])),
    ),
  };
}

/** Pieces of a run that failed. */
function countFailed({ run, pieces }: RunWithPieces, failures: readonly queries.Failure[]): number {
  const { whole, of } = byPiece(failures, run.id);
  return whole === undefined ? of.size : pieces.length;
}

function asSeen({ run, profile, pieces }: RunWithPieces, failures: readonly queries.Failure[]): PrintSeen {
  const { whole, of } = byPiece(failures, run.id);
  const { layerMm } = profile;
  const { bottomLayers = 5 } = profile.settings;
  return {
    bottomLayers,
    layerMm,
    pieces: pieces.map(({ id, attemptId, xMm, yMm }) => {
      const failure = of.get(id) ?? whole;
      if (failure === undefined) return { plateMm: [xMm, yMm], file: String(attemptId) };
      const layer = failure.layer ?? run.stoppedLayer ?? undefined;
      const partMm =
        failure.partXMm === null || failure.partYMm === null
          ? undefined
          : [failure.partXMm, failure.partYMm, (layer ?? 0) * layerMm];
      return { plateMm: [xMm, yMm], file: String(attemptId), failure: { partMm, layer } };
    }),
  };
}

const isFailed = ({ run }: RunWithPieces, failures: readonly queries.Failure[]) =>
  run.outcome === 'stopped' || failures.some(({ runId }) => runId === run.id);

const WEEK_MS = 7 * 86_400_000;
/** A film above this share of its interval counts as old. */
const OLD_SHARE = 0.7;
/** Check's finding and the failure are at one height within this, mm. */
const NEAR_MM = 1;

/** What Check had found about the parts that failed, at the height where they did where that is known. */
function checkedThere(db: Db, { run, profile, pieces }: RunWithPieces, failures: readonly queries.Failure[]) {
  const { whole, of } = byPiece(failures, run.id);
  const failed = pieces.filter(({ id }) => whole !== undefined || of.has(id));
  const jobs = new Map(
    failed.flatMap(({ id }) => {
      const piece = queries.listPieces(db, run.id).find((each) => each.piece.id === id);
      const layer = (of.get(id) ?? whole)?.layer ?? run.stoppedLayer ?? undefined;
      return piece === undefined ? [] : [[piece.job.id, { name: piece.job.name, layer }] as const];
    }),
  );
  const looked = [...jobs].flatMap(([jobId, { name, layer }]) => {
    const findings = listFindings(db, viewJobUnlearned(db, jobId)!);
    if (findings === undefined) return [];
    const there = findings.filter(
      ({ layer: from, toLayer = from }) =>
        layer === undefined ||
        from === undefined ||
        (layer * profile.layerMm >= from * profile.layerMm - NEAR_MM &&
          layer * profile.layerMm <= toLayer! * profile.layerMm + NEAR_MM),
    );
    return [{ name, there }];
  });
  const stances = [...jobs.keys()].flatMap((id) => queries.findJob(db, id)?.stance ?? []);
  return {
    onSupports: stances.length === 0 ? undefined : stances.some(({ kind }) => kind === 'supports'),
    isLooked: looked.length > 0,
    there: looked.flatMap(({ name, there }) => there.map((finding) => ({ job: name, finding }))),
  };
}

/** What the records add to the failure; unknown facts are left out. */
function circumstancesOf(
  db: Db,
  of: RunWithPieces,
  {
    before,
    noted,
    checked,
    failures,
  }: {
    readonly before?: RunWithPieces;
    readonly noted?: readonly NotedChange[];
    readonly checked: ReturnType<typeof checkedThere>;
    readonly failures: readonly queries.Failure[];
  },
  house: House,
): Circumstances {
  const { run, profile } = of;
  const shelved = findShelved(db, profile.resinId);
  const leastC = shelved && evidenceOf(resinFile(shelved)).of('leastRoom_C')?.value;
  const shakenAt = shelved?.bottles.reduce<number>(
    (newest, { shakenAt: at }) => Math.max(newest, at?.getTime() ?? 0),
    0,
  );
  const stoodMs = shakenAt ? run.startedAt!.getTime() - shakenAt : undefined;
  const film = maintenanceCounts(db, profile.printerId, run.endedAt ?? new Date(), house).find(
    ({ kind }) => kind === 'film',
  )!;
  const changed = (...kinds: readonly string[]) =>
    noted?.some((change) => change.kinds.some((kind) => kinds.includes(kind)));
  const enough = run.gate.enough;
  return Object.fromEntries(
    Object.entries({
      ...(checked.isLooked ? evidenceOfFindings(checked.there.map(({ finding }) => finding)) : {}),
      onSupports: checked.onSupports,
      filmOld: film.counted === 0 ? undefined : film.counted > OLD_SHARE * film.allowed!,
      coldRoom: run.roomC === null || leastC === undefined ? undefined : run.roomC < leastC,
      // Shaken since: how long it had stood then is not on record any more.
      longUnshaken: stoodMs === undefined || stoodMs < 0 ? undefined : stoodMs > WEEK_MS,
      lowVat: enough === undefined ? undefined : !enough.well,
      exposureChanged: changed('exposure', 'layer', 'lot'),
      plateWasOff: changed('plate'),
      failedBefore: before === undefined ? undefined : isFailed(before, failures),
    }).filter(([, value]) => value !== undefined),
  );
}

/** The layers of a plate, where something of it failed at a known one. */
function heightOf(
  db: Db,
  { run, profile: { layerMm } }: RunWithPieces,
  own: readonly queries.Failure[],
): CaseView['height'] {
  const layer = own.findLast((failure) => failure.layer !== null)?.layer ?? run.stoppedLayer;
  const areas = layer === null ? undefined : plateAreas(viewItems(db, run.id), layerMm)?.all;
  return layer === null || areas === undefined || layer > areas.length
    ? undefined
    : { layer, layerMm, areasMm2: Array.from(areas, (area) => Math.round(10 * area) / 10) };
}

/** Prints of the same printer that are looked at together. */
const MOST_PRINTS = 12;

/** Where a failure of a print is noted: its run, and its piece there; undefined: it was noted without a plate. */
export function placeOfPrint(
  db: Db,
  printId: number,
): { readonly runId: number; readonly pieceId: number } | undefined {
  const piece = queries.findPieceOfPrint(db, printId);
  return piece && { runId: piece.runId, pieceId: piece.id };
}

/** What was noted as failed of a run, oldest first. */
export function listFailuresOf(db: Db, runId: number): queries.Failure[] {
  return queries.listFailures(db, [runId]);
}

/** A failed run; undefined: there is no such run, or nothing of it is noted as failed. */
export function viewCase(db: Db, runId: number, house: House): CaseView | undefined {
  const run = queries.findRun(db, runId);
  const row = run && queries.findProfile(db, run.profileId);
  if (run === undefined || row === undefined || run.endedAt === null) return undefined;
  const until = queries.listRunsWithPieces(db, row.printer.id, { until: run.endedAt });
  const at = until.findIndex((each) => each.run.id === runId);
  const earlier = until.slice(Math.max(0, at));
  const failures = queries.listFailures(
    db,
    earlier.map((each) => each.run.id),
  );
  const own = failures.filter((failure) => failure.runId === runId);
  if (at < 0 || own.length === 0) return undefined;
  const good = earlier.slice(1).find((each) => !isFailed(each, failures));
  const looked = earlier
    .slice(0, MOST_PRINTS)
    .filter((each) => each.run.id === runId || isFailed(each, failures));
  const prints = looked.toReversed().map((each) => asSeen(each, failures));
  const noted = good && notedSince(db, good.run, run);
  const checked = checkedThere(db, earlier[0], failures);
  const plate = row.printer.rooms.plate;
  const halfPlateMm = plate && ([plate[0] / 2, plate[1] / 2] as const);
  const where = whereOnPlate(prints, halfPlateMm);
  const evidence = gatherEvidence({
    prints,
    circumstances: circumstancesOf(db, earlier[0], { before: earlier[1], noted, checked, failures }, house),
    where,
  });
  const found = queries.listCausesFound(db);
  const tables = tablesOf(house.causes);
  const read = readFailure(
    { kind: own.at(-1)!.kind, evidence },
    priorOf(
      found.filter((each) => each.runId !== runId).map(({ cause }) => cause),
      tables.prior,
    ),
    tables.evidence,
  );
  if (!read.ok) return undefined;
  return {
    run,
    failures: own,
    where,
    printsLookedAt: prints.length,
    ...judged(db, { of: earlier[0], house, tables }, read.value.chances),
    reasons: read.value.reasons,
    checked: checked.there,
    changes: changesSince(db, good?.run, run),
    noted: noted ?? [],
    height: heightOf(db, earlier[0], own),
    loss: lossOf({ ...earlier[0], count: countFailed(earlier[0], own) }, house),
    found: found.find((each) => each.runId === runId)?.cause,
    tables,
  };
}

/** The causes once the tests that were made are counted, and what the others would still tell. */
function judged(
  db: Db,
  {
    of: { run, pieces },
    house,
    tables,
  }: { readonly of: RunWithPieces; readonly house: House; readonly tables: CauseTables },
  before: ByCause<Cause>,
): Pick<CaseView, 'causes' | 'named' | 'tests'> {
  const nextCost = run.plan === null ? undefined : lostWith(run.plan, pieces.length, house);
  const costs = {
    printHours: run.plan === null ? undefined : run.plan.plannedS / 3600,
    printCost: nextCost,
    workHour: house.run.workHour,
  };
  const all = costedTests(costs, tables.tests);
  const made = new Map(queries.listFailureTests(db, run.id).map(({ test, outcome }) => [test, outcome]));
  const chances = all.reduce((so, { name, table }) => {
    const outcome = made.get(name);
    return outcome === undefined ? so : (afterTest(so, table, outcome) ?? so);
  }, before);
  const hoursOf = new Map(all.map(({ name, hours }) => [name, hours]));
  const ranked = rankTests(chances, all, nextCost);
  const tests = ranked
    .map((worth) => ({
      ...worth,
      hours: hoursOf.get(worth.name)!,
      outcome: made.get(worth.name),
    }))
    .sort((a, b) => Number(a.outcome !== undefined) - Number(b.outcome !== undefined));
  const causes = keysOf(chances)
    .map((cause) => ({ cause, chance: chances[cause] }))
    .sort((a, b) => b.chance - a.chance);
  return { causes, named: namedCause(chances), tests };
}
