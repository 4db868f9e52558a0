/** Care of a printer that is counted. */
export const MAINTENANCE_KINDS = [
  'film',
  'panel',
  'level',
  'drain',
  'filter',
  'washLiquid',
  'clearVat',
  'imageCheck',
  'firstPiece',
  'lookOver',
] as const;
export type MaintenanceKind = (typeof MAINTENANCE_KINDS)[number];

/** Checks of a machine that show something, well or not; a new printer asks for all of them. */
export const CHECK_KINDS = [
  'imageCheck',
  'level',
  'firstPiece',
] as const satisfies readonly MaintenanceKind[];
export type CheckKind = (typeof CHECK_KINDS)[number];

/**
 * If reported as not OK, these stay due; an image or an inspection is done once somebody inspected, whatever the
 * result.
 */
const ONLY_WELL: ReadonlySet<MaintenanceKind> = new Set(['level', 'firstPiece']);

/** Whether care that was noted so counts as done. */
export const countsAsDone = (kind: MaintenanceKind, isWell: boolean): boolean =>
  isWell || !ONLY_WELL.has(kind);

/** After a failure that can have left something in the vat, in this order; each is answered before the next start. */
export const CLEARING_STEPS = ['solids', 'plate', 'film', 'filter'] as const;
export type ClearingStep = (typeof CLEARING_STEPS)[number];

/** A print as far as care counts it. */
export interface RunOfMaintenance {
  readonly endedAt: Date;
  readonly layers: number;
  readonly pieces: number;
  /** Light on, hours. */
  readonly lightHours: number;
  /** Something came off in the vat. */
  readonly leftSolids: boolean;
}

/** Something after which other care is due: a new printer, film or panel, a failure that can have left something in the vat. */
export interface MaintenanceEvent {
  readonly kind: 'printer' | 'film' | 'panel' | 'failure';
  readonly at: Date;
}

/** The intervals in the settings. */
export interface MaintenanceRules {
  readonly filmLayers: number;
  readonly panelHours: number;
  /** Undefined: this workshop does not drain by the calendar. */
  readonly drainDays?: number;
  readonly filterRuns: number;
  readonly washParts: number;
  readonly lookRuns: number;
}

export const MAINTENANCE_DEFAULTS: Required<MaintenanceRules> = Object.freeze({
  filmLayers: 60_000,
  panelHours: 2000,
  drainDays: 30,
  filterRuns: 20,
  washParts: 60,
  lookRuns: 10,
});

/** One kind of maintenance: use since it was last done against its interval, in the unit of its kind. */
export interface MaintenanceCount {
  readonly kind: MaintenanceKind;
  readonly doneAt?: Date;
  readonly counted: number;
  /** Undefined: it is due by an event alone. */
  readonly allowed?: number;
  readonly isDue: boolean;
  /** The event that asks for it. */
  readonly because?: MaintenanceEvent['kind'];
}

export interface MaintenanceAsk {
  readonly runs: readonly RunOfMaintenance[];
  readonly events: readonly MaintenanceEvent[];
  /** When each kind was done last. */
  readonly done: Readonly<Partial<Record<MaintenanceKind, Date>>>;
  readonly rules: MaintenanceRules;
  readonly now: Date;
}

const DAY_MS = 86_400_000;

/** Kinds that an event asks for. */
const ASKED_BY: Readonly<Partial<Record<MaintenanceKind, readonly MaintenanceEvent['kind'][]>>> = {
  level: ['printer', 'film'],
  clearVat: ['failure'],
  imageCheck: ['printer', 'panel'],
  firstPiece: ['printer', 'panel'],
};

/** What was counted since each kind of care was done: by what happened, not by the calendar alone. */
export function countMaintenance({ runs, events, done, rules, now }: MaintenanceAsk): MaintenanceCount[] {
  const since = (kind: MaintenanceKind) => {
    const at = done[kind];
    return { at, runs: runs.filter(({ endedAt }) => at === undefined || endedAt > at) };
  };
  const sum = (kind: MaintenanceKind, of: (run: RunOfMaintenance) => number) =>
    since(kind).runs.reduce((total, run) => total + of(run), 0);
  const counts: Readonly<Record<MaintenanceKind, readonly [counted: number, allowed?: number]>> = {
    film: [sum('film', ({ layers }) => layers), rules.filmLayers],
    panel: [sum('panel', ({ lightHours }) => lightHours), rules.panelHours],
    filter: [since('filter').runs.length, rules.filterRuns],
    washLiquid: [sum('washLiquid', ({ pieces }) => pieces), rules.washParts],
    drain: [daysSince(done.drain, runs, now), rules.drainDays],
    level: [since('level').runs.length],
    clearVat: [sum('clearVat', ({ leftSolids }) => Number(leftSolids))],
    imageCheck: [since('imageCheck').runs.length],
    firstPiece: [since('firstPiece').runs.length],
    lookOver: [since('lookOver').runs.length, rules.lookRuns],
  };
  return MAINTENANCE_KINDS.map((kind) => {
    const [counted, allowed] = counts[kind];
    const doneAt = done[kind];
    const because = events
      .filter(
        (event) =>
          ASKED_BY[kind]?.includes(event.kind) === true && (doneAt === undefined || event.at > doneAt),
      )
      .sort((a, b) => b.at.getTime() - a.at.getTime())[0]?.kind;
    return {
      kind,
      doneAt,
      counted,
      allowed,
      because,
      isDue: because !== undefined || (allowed !== undefined && counted >= allowed),
    };
  });
}

/** Days that the vat has stood since it was drained, or since the first run where it never was; 0 without one. */
function daysSince(drained: Date | undefined, runs: readonly RunOfMaintenance[], now: Date): number {
  const first = runs.reduce<Date | undefined>(
    (oldest, { endedAt }) => (oldest === undefined || endedAt < oldest ? endedAt : oldest),
    undefined,
  );
  const from = drained ?? first;
  return from === undefined ? 0 : Math.floor((now.getTime() - from.getTime()) / DAY_MS);
}

/** Counted maintenance that has used this much of its interval is offered together with what is due. */
const SOON_SHARE = 0.8;

/** Due, or soon to be. */
export function isSoon({ isDue, counted, allowed }: MaintenanceCount): boolean {
  return isDue || (allowed !== undefined && counted >= SOON_SHARE * allowed);
}

/** What is looked at in a minute, whatever is due. */
export const GLANCES = ['film', 'plate', 'panel', 'cover', 'atHand'] as const;
export type Glance = (typeof GLANCES)[number];
