/** Care of a printer that is counted. */
export const CARE_KINDS = [
  'film',
  'panel',
  'level',
  'drain',
  'filter',
  'washLiquid',
  'clearVat',
  'imageCheck',
] as const;
export type CareKind = (typeof CARE_KINDS)[number];

/** A print as far as care counts it. */
export interface RunOfCare {
  readonly endedAt: Date;
  readonly layers: number;
  readonly pieces: number;
  /** Light on, hours. */
  readonly lightHours: number;
  /** Something came off in the vat. */
  readonly leftSolids: boolean;
}

/** Something after which other care is due: a new film or panel, a failure that can have left something in the vat. */
export interface CareEvent {
  readonly kind: 'film' | 'panel' | 'failure';
  readonly at: Date;
}

/** The house's intervals. */
export interface CareRules {
  readonly filmLayers: number;
  readonly panelHours: number;
  /** Undefined: this house does not drain by the calendar. */
  readonly drainDays?: number;
  readonly filterRuns: number;
  readonly washParts: number;
}

export const CARE_DEFAULTS: CareRules = Object.freeze({
  filmLayers: 60_000,
  panelHours: 2000,
  drainDays: 30,
  filterRuns: 20,
  washParts: 60,
});

/** One kind of care: what was counted since it was done, against what the house allows, in the unit of its kind. */
export interface CareCount {
  readonly kind: CareKind;
  readonly doneAt?: Date;
  readonly counted: number;
  /** Undefined: it is due by an event alone. */
  readonly allowed?: number;
  readonly isDue: boolean;
  /** The event that asks for it. */
  readonly because?: CareEvent['kind'];
}

export interface CareAsk {
  readonly runs: readonly RunOfCare[];
  readonly events: readonly CareEvent[];
  /** When each kind was done last. */
  readonly done: Readonly<Partial<Record<CareKind, Date>>>;
  readonly rules: CareRules;
  readonly now: Date;
}

const DAY_MS = 86_400_000;

/** Kinds that an event asks for. */
const ASKED_BY: Readonly<Partial<Record<CareKind, readonly CareEvent['kind'][]>>> = {
  level: ['film'],
  clearVat: ['failure'],
  imageCheck: ['panel'],
};

/** What was counted since each kind of care was done: by what happened, not by the calendar alone. */
export function countCare({ runs, events, done, rules, now }: CareAsk): CareCount[] {
  const since = (kind: CareKind) => {
    const at = done[kind];
    return { at, runs: runs.filter(({ endedAt }) => at === undefined || endedAt > at) };
  };
  const sum = (kind: CareKind, of: (run: RunOfCare) => number) =>
    since(kind).runs.reduce((total, run) => total + of(run), 0);
  const counts: Readonly<Record<CareKind, readonly [counted: number, allowed?: number]>> = {
    film: [sum('film', ({ layers }) => layers), rules.filmLayers],
    panel: [sum('panel', ({ lightHours }) => lightHours), rules.panelHours],
    filter: [since('filter').runs.length, rules.filterRuns],
    washLiquid: [sum('washLiquid', ({ pieces }) => pieces), rules.washParts],
    drain: [daysSince(done.drain, runs, now), rules.drainDays],
    level: [since('level').runs.length],
    clearVat: [sum('clearVat', ({ leftSolids }) => Number(leftSolids))],
    imageCheck: [since('imageCheck').runs.length],
  };
  return CARE_KINDS.map((kind) => {
    const [counted, allowed] = counts[kind];
    const doneAt = done[kind];
    const because = events.find(
      (event) => ASKED_BY[kind]?.includes(event.kind) === true && (doneAt === undefined || event.at > doneAt),
    )?.kind;
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
function daysSince(drained: Date | undefined, runs: readonly RunOfCare[], now: Date): number {
  const first = runs.reduce<Date | undefined>(
    (oldest, { endedAt }) => (oldest === undefined || endedAt < oldest ? endedAt : oldest),
    undefined,
  );
  const from = drained ?? first;
  return from === undefined ? 0 : Math.floor((now.getTime() - from.getTime()) / DAY_MS);
}
