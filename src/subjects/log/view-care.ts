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
import { type Db, queries } from '@/store';

/** Care of a printer: what was counted since each kind was done, and the risk that its film is. */
export interface CareView {
  readonly counts: readonly CareCount[];
  /** Chance that the next print fails by the film, learned here from what failed. */
  readonly filmRisk: number;
}

const KINDS_LEAVING: ReadonlySet<string> = new Set(queries.LEAVES_SOLIDS);

/** Where a run does not say its exposure, s. */
const USUAL_EXPOSURE_S = 2.5;

function runsOf(db: Db, printerId: number, until: Date): RunOfCare[] {
  const runs = queries.listRunsWithPieces(db, printerId, 2000).filter(({ run }) => run.endedAt! <= until);
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

/** What happened to a printer: changes of its profiles, and failures that left something in the vat. */
function eventsOf(db: Db, printerId: number, until: Date): CareEvent[] {
  const changes = queries
    .listProfiles(db)
    .filter(({ printer }) => printer.id === printerId)
    .flatMap(({ profile }) => queries.listChanges(db, profile.id))
    .filter(({ at }) => at <= until);
  const uncleared = queries.findUncleared(db, printerId);
  return [
    ...changes.flatMap(({ kinds, at }) =>
      kinds.flatMap((kind): CareEvent[] => (kind === 'film' || kind === 'plate' ? [{ kind, at }] : [])),
    ),
    ...(uncleared === undefined ? [] : [{ kind: 'failure', at: uncleared.at } as const]),
  ];
}

/** When each kind of care was done last; a change of film that was noted counts, and so does a level. */
function doneOf(db: Db, printerId: number, events: readonly CareEvent[], until: Date) {
  const done: Partial<Record<CareKind, Date>> = {};
  const take = (kind: CareKind, at: Date) => {
    const before = done[kind];
    if (at <= until && (before === undefined || at > before)) done[kind] = at;
  };
  for (const { kind, at } of queries.listCareDone(db, printerId)) take(kind, at);
  for (const { kind, at } of events) if (kind === 'film') take('film', at);
  return done;
}

/** What was counted of each kind of care until a time. */
export function careCounts(db: Db, printerId: number, now: Date): CareCount[] {
  const events = eventsOf(db, printerId, now);
  const runs = runsOf(db, printerId, now);
  const done = doneOf(db, printerId, events, now);
  return countCare({ runs, events, done, rules: CARE_DEFAULTS, now });
}

/** Printers with care that is due. */
export function listDueCare(
  db: Db,
  now: Date,
): { readonly printerId: number; readonly printer: string; readonly due: readonly CareCount[] }[] {
  const printers = new Map(queries.listProfiles(db).map(({ printer }) => [printer.id, printer.name]));
  return [...printers].flatMap(([printerId, printer]) => {
    const due = careCounts(db, printerId, now).filter(({ isDue }) => isDue);
    return due.length === 0 ? [] : [{ printerId, printer, due }];
  });
}

/** Care of a printer as it stands at a time. */
export function careOf(db: Db, printerId: number, now: Date): CareView {
  const counts = careCounts(db, printerId, now);
  const film = counts.find(({ kind }) => kind === 'film')!;
  return { counts, filmRisk: filmRisk(filmLawOf(db, printerId), film.counted) };
}

/** When films fail here: prints by the layers that their film had seen, and whether the film was found to be the cause. */
function filmLawOf(db: Db, printerId: number) {
  const runs = queries.listRunsWithPieces(db, printerId, 400).toReversed();
  const byFilm = new Set(
    queries
      .listCausesFound(db)
      .filter(({ cause }) => cause === 'film')
      .map(({ runId }) => runId),
  );
  const changed = queries
    .listProfiles(db)
    .filter(({ printer }) => printer.id === printerId)
    .flatMap(({ profile }) => queries.listChanges(db, profile.id))
    .filter(({ kinds }) => kinds.includes('film'))
    .map(({ at }) => at.getTime());
  const cared = queries.listCareDone(db, printerId).filter(({ kind }) => kind === 'film');
  const starts = [...changed, ...cared.map(({ at }) => at.getTime())].sort((a, b) => a - b);
  let [layers, next] = [0, 0];
  const prints = runs.map(({ run }) => {
    while (next < starts.length && starts[next] <= run.endedAt!.getTime()) [layers, next] = [0, next + 1];
    const print = { layers, failedByFilm: Number(byFilm.has(run.id)) };
    layers += run.stoppedLayer ?? run.plan?.layers ?? 0;
    return print;
  });
  return learnFilm(CARE_DEFAULTS.filmLayers, prints);
}
