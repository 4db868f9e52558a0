import {
  type CheckKind,
  countMaintenance,
  isCheck,
  isFilmDue,
  type MaintenanceCount,
  type MaintenanceEvent,
  type MaintenanceKind,
  type RunOfMaintenance,
} from '@/core/log';
import { type Db, queries } from '@/store';
import type { HouseRules } from '@/subjects/workshop/settings';
import { maintenanceDates, filmOf, findPrinter, workOf } from '@/subjects/signature';
import { lostWith } from './lost-with';

/** What somebody saw who looked. */
export interface Looked {
  readonly at: Date;
  readonly isWell: boolean;
  readonly note: string;
}

/** Care of a printer: what was counted since each kind was done, and the risk that its film is. */
export interface MaintenanceView {
  readonly counts: readonly MaintenanceCount[];
  /** The film against the next print: chance that it fails by it, learned here from what failed, and what both cost. */
  readonly film: { readonly risk: number; readonly nextCost?: number; readonly filmCost: number };
  /** Kinds that were tapped as done within a day: a mistake can be undone. */
  readonly undoable: ReadonlySet<MaintenanceKind>;
  /** Results of checks of the printer, newest first. */
  readonly checks: readonly (Looked & { readonly kind: CheckKind })[];
  /** The last inspection. */
  readonly lastLook?: Looked;
}

type House = Pick<HouseRules, 'schools' | 'care' | 'run'>;
type MaintenanceHouse = Pick<House, 'schools' | 'care'>;

const DAY_MS = 86_400_000;

/** Where a run does not say its exposure, s. */
const USUAL_EXPOSURE_S = 2.5;

function runsOf(db: Db, printerId: number, until: Date): RunOfMaintenance[] {
  const ended = workOf(db, printerId).filter(({ endedAt }) => endedAt <= until);
  return ended.map(({ endedAt, layers, pieces, exposureS, leftSolids }) => ({
    endedAt,
    layers,
    pieces,
    lightHours: (layers * (exposureS ?? USUAL_EXPOSURE_S)) / 3600,
    leftSolids,
  }));
}

/**
 * Returns the use counted for each kind of maintenance until a time; a vat is drained by the calendar only if shop
 * practice does so.
 */
export function maintenanceCounts(
  db: Db,
  printerId: number,
  now: Date,
  { schools, care }: MaintenanceHouse,
): MaintenanceCount[] {
  const done = maintenanceDates(db, printerId, now);
  const uncleared = queries.findUncleared(db, printerId);
  const addedAt = findPrinter(db, printerId)?.addedAt ?? undefined;
  const events: MaintenanceEvent[] = [
    ...(addedAt === undefined ? [] : [{ kind: 'printer', at: addedAt } as const]),
    ...(['film', 'panel'] as const).flatMap((kind) =>
      done[kind] === undefined ? [] : { kind, at: done[kind] },
    ),
    ...(uncleared === undefined || uncleared.at > now
      ? []
      : [{ kind: 'failure', at: uncleared.at } as const]),
  ];
  const drainDays = schools.vatAfter === 'calendar' ? care.drainDays : undefined;
  return countMaintenance({
    runs: runsOf(db, printerId, now),
    events,
    done,
    rules: { ...care, drainDays },
    now,
  });
}

/** Prints that the cost of the next one is taken from. */
const LAST_PRINTS = 10;

/** Returns the mean cost of a failed print of this printer, labour included; undefined if none was planned yet. */
function nextCostOf(db: Db, printerId: number, house: House): number | undefined {
  const costs = queries
    .listRunsWithPieces(db, printerId, { most: LAST_PRINTS })
    .flatMap(({ run: { plan }, pieces }) => {
      if (plan === null) return [];
      return lostWith(plan, pieces.length, house);
    });
  return costs.length === 0 ? undefined : costs.reduce((sum, cost) => sum + cost, 0) / costs.length;
}

function filmView(db: Db, printerId: number, house: House): MaintenanceView['film'] {
  const { filmLayers, filmCost } = house.care;
  const { risk } = filmOf(db, printerId, filmLayers);
  return { risk, nextCost: nextCostOf(db, printerId, house), filmCost };
}

/** The counts, the film's due also where its risk at the next print costs more than a new one. */
function countsWith(
  counts: readonly MaintenanceCount[],
  { risk, nextCost, filmCost }: MaintenanceView['film'],
): MaintenanceCount[] {
  const isDear = nextCost !== undefined && isFilmDue(risk, nextCost, filmCost);
  return counts.map((count) => (count.kind === 'film' && isDear ? { ...count, isDue: true } : count));
}

/** Checks of a new printer stand in its own log: nobody is reminded of them who has not printed on it yet. */
const isForToday = ({ because, isDue }: MaintenanceCount) => isDue && because !== 'printer';

/** Printers with care that is due. */
export function listDueMaintenance(
  db: Db,
  now: Date,
  house: House,
): { readonly printerId: number; readonly printer: string; readonly due: readonly MaintenanceCount[] }[] {
  const printers = new Map(queries.listProfiles(db).map(({ printer }) => [printer.id, printer.name]));
  return [...printers].flatMap(([printerId, printer]) => {
    const counts = maintenanceCounts(db, printerId, now, house);
    const due = countsWith(counts, filmView(db, printerId, house)).filter(isForToday);
    return due.length === 0 ? [] : [{ printerId, printer, due }];
  });
}

/** Care of a printer as it stands at a time. */
export function maintenanceOf(db: Db, printerId: number, now: Date, house: House): MaintenanceView {
  const film = filmView(db, printerId, house);
  const dayAgo = now.getTime() - DAY_MS;
  const done = queries.listCareDone(db, printerId);
  return {
    counts: countsWith(maintenanceCounts(db, printerId, now, house), film),
    film,
    undoable: new Set(done.flatMap(({ kind, at }) => (at.getTime() > dayAgo ? kind : []))),
    lastLook: done.find(({ kind }) => kind === 'lookOver'),
    checks: done.flatMap(({ kind, at, isWell, note }) => (isCheck(kind) ? { kind, at, isWell, note } : [])),
  };
}
