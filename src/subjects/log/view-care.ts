import {
  CARE_DEFAULTS,
  type CareCount,
  type CareEvent,
  type CareKind,
  countCare,
  filmRisk,
  learnFilm,
  type RunOfCare,
} from '@/core/log';
import type { Schools } from '@/core/resins';
import { type Db, queries } from '@/store';
import { careDates } from '@/subjects/printing';

/** Care of a printer: what was counted since each kind was done, and the risk that its film is. */
export interface CareView {
  readonly counts: readonly CareCount[];
  /** Chance that the next print fails by the film, learned here from what failed. */
  readonly filmRisk: number;
  /** Kinds that were tapped as done within a day: a slip can be taken back. */
  readonly undoable: ReadonlySet<CareKind>;
}

type DrainSchool = Pick<Schools, 'vatAfter'>;

const DAY_MS = 86_400_000;

const KINDS_LEAVING: ReadonlySet<string> = new Set(queries.LEAVES_SOLIDS);

/** Where a run does not say its exposure, s. */
const USUAL_EXPOSURE_S = 2.5;

function runsOf(db: Db, printerId: number, until: Date): RunOfCare[] {
  const runs = queries.listRunsWithPieces(db, printerId, { most: 2000, until });
  const failures = queries.listFailures(
    db,
    runs.map(({ run }) => run.id),
  );
  const left = new Set(failures.filter(({ kind }) => KINDS_LEAVING.has(kind)).map(({ runId }) => runId));
  return runs.map(({ run, profile, pieces }) => {
    const layers = run.stoppedLayer ?? run.plan?.layers ?? 0;
    return {
      endedAt: run.endedAt!,
      layers,
      pieces: pieces.length,
      lightHours: (layers * (profile.settings.exposureS ?? USUAL_EXPOSURE_S)) / 3600,
      leftSolids: left.has(run.id),
    };
  });
}

/** What was counted of each kind of care until a time; a vat is drained by the calendar only where the house does so. */
export function careCounts(db: Db, printerId: number, now: Date, schools?: DrainSchool): CareCount[] {
  const done = careDates(db, printerId, now);
  const uncleared = queries.findUncleared(db, printerId);
  const events: CareEvent[] = [
    ...(['film', 'panel'] as const).flatMap((kind) =>
      done[kind] === undefined ? [] : { kind, at: done[kind] },
    ),
    ...(uncleared === undefined || uncleared.at > now
      ? []
      : [{ kind: 'failure', at: uncleared.at } as const]),
  ];
  const drainDays = schools?.vatAfter === 'calendar' ? CARE_DEFAULTS.drainDays : undefined;
  return countCare({
    runs: runsOf(db, printerId, now),
    events,
    done,
    rules: { ...CARE_DEFAULTS, drainDays },
    now,
  });
}

/** Printers with care that is due. */
export function listDueCare(
  db: Db,
  now: Date,
  schools: DrainSchool,
): { readonly printerId: number; readonly printer: string; readonly due: readonly CareCount[] }[] {
  const printers = new Map(queries.listProfiles(db).map(({ printer }) => [printer.id, printer.name]));
  return [...printers].flatMap(([printerId, printer]) => {
    const due = careCounts(db, printerId, now, schools).filter(({ isDue }) => isDue);
    return due.length === 0 ? [] : [{ printerId, printer, due }];
  });
}

/** Care of a printer as it stands at a time. */
export function careOf(db: Db, printerId: number, now: Date, schools: DrainSchool): CareView {
  const counts = careCounts(db, printerId, now, schools);
  const film = counts.find(({ kind }) => kind === 'film')!;
  const dayAgo = now.getTime() - DAY_MS;
  const undoable = new Set(
    queries.listCareDone(db, printerId).flatMap(({ kind, at }) => (at.getTime() > dayAgo ? kind : [])),
  );
  return { counts, filmRisk: filmRisk(filmLawOf(db, printerId), film.counted), undoable };
}

/** When films fail here: prints by the layers that their film had seen, and whether the film was found to be the cause. */
function filmLawOf(db: Db, printerId: number) {
  const runs = queries.listRunsWithPieces(db, printerId, { most: 400 }).toReversed();
  const byFilm = new Set(
    queries
      .listCausesFound(db)
      .filter(({ cause }) => cause === 'film')
      .map(({ runId }) => runId),
  );
  const starts = queries
    .listProfiles(db)
    .filter(({ printer }) => printer.id === printerId)
    .flatMap(({ profile }) => queries.listChanges(db, profile.id))
    .flatMap(({ kinds, at }) => (kinds.includes('film') ? at.getTime() : []))
    .sort((a, b) => a - b);
  let [layers, next] = [0, 0];
  const prints = runs.map(({ run }) => {
    while (next < starts.length && starts[next] <= run.endedAt!.getTime()) [layers, next] = [0, next + 1];
    const print = { layers, failedByFilm: Number(byFilm.has(run.id)) };
    layers += run.stoppedLayer ?? run.plan?.layers ?? 0;
    return print;
  });
  return learnFilm(CARE_DEFAULTS.filmLayers, prints);
}
