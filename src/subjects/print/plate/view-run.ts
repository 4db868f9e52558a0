import { fillBefore, type PlaceIssue, type RunningPrint } from '@/core/print';
import { type Db, queries, tables } from '@/store';
import type { HouseRules } from '@/subjects/workshop/settings';
import { type ScaleShown, weighSimulated } from '@/subjects/simulated';
import { changesSinceLast, forecastOf, listTimed, type PlateForecast } from './view-forecast';
import { type ChecklistQuestion, viewChecklist } from './view-checklist';
import { type Bed, bedOf, placeIssuesOf, plateAreas, type PlateItem, viewItems } from './view-plate';

type House = Pick<HouseRules, 'schools' | 'roomC' | 'run' | 'changeoverMl' | 'care'>;

/** A bottle that could be poured from. */
export interface BottleChoice {
  readonly id: number;
  readonly lot: string;
  readonly leftMl: number;
  /** Reserved for other plates that wait, ml. */
  readonly reservedMl: number;
}

/** A job whose newest attempt could be laid on the same plate. */
export interface WaitingJob {
  readonly jobId: number;
  readonly name: string;
  readonly attempt: number;
  /** It was printed before. */
  readonly isPrinted: boolean;
}

/** Everything that the page of a run shows. */
export interface RunView {
  readonly run: queries.Run;
  readonly row: queries.ProfileRow;
  readonly bed: Bed;
  readonly items: readonly PlateItem[];
  readonly placeIssues: ReadonlyMap<number, PlaceIssue>;
  /** Undefined while a part was not read, or nothing lies on the plate. */
  readonly forecast?: PlateForecast;
  readonly gate?: readonly ChecklistQuestion[];
  readonly changes?: ReturnType<typeof changesSinceLast>;
  readonly waiting: readonly WaitingJob[];
  readonly bottles: readonly BottleChoice[];
  /** To be added before the start by shop practice, ml; undefined if the vat is unknown. */
  readonly fillMl?: number;
  readonly pours: readonly (typeof tables.pours.$inferSelect)[];
  readonly weighing?: typeof tables.weighings.$inferSelect;
}

/** What a plate that waits needs to be poured from its bottle, ml. */
function needOf(forecast: PlateForecast | undefined): number {
  const outlook = forecast?.outlook;
  if (outlook === undefined || outlook === 'tooMuch') return forecast?.resinMl ?? 0;
  return outlook.plan.topUps.reduce((sum, { addMl }) => sum + addMl, 0);
}

function bottlesFor(db: Db, run: queries.Run, row: queries.ProfileRow): BottleChoice[] {
  const others = queries
    .listOpenRuns(db)
    .filter((open) => open.run.id !== run.id && open.run.startedAt === null && open.run.bottleId !== null);
  return (queries.findResin(db, row.resin.id)?.bottles ?? []).map(({ id, batch, leftMl }) => ({
    id,
    lot: batch,
    leftMl,
    reservedMl: others
      .filter((open) => open.run.bottleId === id)
      .reduce((sum, open) => {
        const areas = plateAreas(viewItems(db, open.run.id), open.profile.layerMm);
        return sum + (areas === undefined ? 0 : needOf(forecastOf(db, open, areas)));
      }, 0),
  }));
}

function waitingFor(db: Db, run: queries.Run, items: readonly PlateItem[]): WaitingJob[] {
  const here = new Set(items.map(({ attemptId }) => attemptId));
  return queries
    .listPrintable(db, run.profileId)
    .filter(({ attempt, job }) => !here.has(attempt.id) && job.overtakenAttemptId !== attempt.id)
    .map(({ attempt, job, printed }) => ({
      jobId: job.id,
      name: job.name,
      attempt: attempt.number,
      isPrinted: printed > 0,
    }));
}

/** A run as its page shows it; undefined: there is none. */
export function viewRun(db: Db, runId: number, house: House, now = new Date()): RunView | undefined {
  const run = queries.findRun(db, runId);
  if (run === undefined || run.putAwayAt !== null) return undefined;
  const row = queries.findProfile(db, run.profileId)!;
  const bed = bedOf(db, runId);
  const items = viewItems(db, runId);
  const areas = plateAreas(items, row.profile.layerMm);
  const forecast = areas && forecastOf(db, row, areas);
  const isWaiting = run.startedAt === null;
  return {
    run,
    row,
    bed,
    items,
    placeIssues: placeIssuesOf(items, bed, house.run.plateGapMm),
    forecast,
    gate: forecast && isWaiting ? viewChecklist(db, { run, row, items, forecast, house, now }) : undefined,
    changes: isWaiting ? changesSinceLast(db, row) : undefined,
    waiting: isWaiting ? waitingFor(db, run, items) : [],
    bottles: bottlesFor(db, run, row),
    fillMl:
      forecast?.vat && isWaiting
        ? fillBefore(house.schools.fillLevel, forecast.vat, forecast.resinMl)
        : undefined,
    pours: queries.listPours(db, runId),
    weighing: queries.listWeighings(db, row.printer.id).find((weighing) => weighing.runId === runId),
  };
}

/** Hours and resin of a plate; undefined while a part on it was not read, or nothing lies on it. */
export function forecastOfRun(db: Db, runId: number): PlateForecast | undefined {
  const run = queries.findRun(db, runId);
  const row = run && queries.findProfile(db, run.profileId);
  const areas = row && plateAreas(viewItems(db, runId), row.profile.layerMm);
  return areas && forecastOf(db, row, areas);
}

/** A print in progress, by its clock; undefined if its start settings were not stored. */
export function runningPrint(db: Db, { run, row, forecast }: RunView): RunningPrint | undefined {
  if (run.plan === null) return undefined;
  const { program, layers } = run.plan;
  const outlook = forecast?.outlook;
  const wanted = outlook === undefined || outlook === 'tooMuch' ? [] : outlook.plan.topUps;
  return {
    program,
    layers,
    pours: wanted.map(({ layer, addMl }) => ({ layer, ml: addMl })),
    timed: listTimed(db, row.printer.id),
  };
}

/** A run of an attempt, in short. */
export interface RunGlance {
  readonly id: number;
  readonly state: 'waiting' | 'printing' | 'ended';
  readonly startedAt?: Date;
}

/** The newest run of an attempt; undefined: it never lay on a plate. */
export function findRunOf(db: Db, attemptId: number): RunGlance | undefined {
  const run = queries.findRunOfAttempt(db, attemptId);
  if (run === undefined) return undefined;
  const state = run.endedAt !== null ? 'ended' : run.startedAt === null ? 'waiting' : 'printing';
  return { id: run.id, state, startedAt: run.startedAt ?? undefined };
}

/** A run that waits or prints, for lists. */
export interface OpenRunGlance extends RunGlance {
  readonly profileId: number;
  readonly printerId: number;
  readonly printer: string;
  readonly resin: string;
  readonly things: string;
  readonly print?: RunningPrint;
  readonly speed: number;
  readonly heard?: { readonly layer: number; readonly at: Date };
}

/** Runs that wait or print, the oldest first. */
export function listOpenRuns(db: Db): OpenRunGlance[] {
  return queries.listOpenRuns(db).map(({ run, printer, resin }) => {
    const rows = queries.listPieces(db, run.id);
    const names = [...new Set(rows.map(({ job }) => job.name))];
    const { plan } = run;
    return {
      id: run.id,
      profileId: run.profileId,
      state: run.startedAt === null ? 'waiting' : 'printing',
      startedAt: run.startedAt ?? undefined,
      printerId: printer.id,
      printer: printer.name,
      resin: resin.name,
      things: names.length > 2 ? `${names[0]} and ${names.length - 1} more` : names.join(' and '),
      print:
        plan === null
          ? undefined
          : { program: plan.program, layers: plan.layers, pours: [], timed: listTimed(db, printer.id) },
      speed: plan?.speed ?? 1,
      heard:
        run.heardAt === null || run.heardLayer === null
          ? undefined
          : { layer: run.heardLayer, at: run.heardAt },
    };
  });
}

/** What a simulated scale shows of the pieces of a run; undefined where a part was not read, or the printer is a real one. */
export function weighOnSimulatedScale(db: Db, { run, row, items }: RunView): ScaleShown | undefined {
  if (row.printer.simulatedSeed === null || items.some(({ layers }) => layers === undefined))
    return undefined;
  const partsMl = items.reduce(
    (sum, { layers, pieces }) => sum + (pieces.length * layers!.volumeMm3) / 1000,
    0,
  );
  return weighSimulated(
    run.id,
    partsMl,
    items.some(({ liftMm = 0 }) => liftMm > 0),
  );
}
