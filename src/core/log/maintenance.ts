import { keysOf } from '@/core/kit';
import type { Practices } from '@/core/workshop';
import type { InspectionWords } from './clearing';

/** All facts about one kind of maintenance. */
interface MaintenanceDefinition {
  readonly title: string;
  /** Stands with it while it is due. */
  readonly caution?: string;
  /** What its use is counted in: one, and many. */
  readonly unit: readonly [one: string, many: string];
  /** Events after which it is due. */
  readonly askedBy?: readonly MaintenanceEvent['kind'][];
  /** Reported as not OK it stays due; everything else is done once somebody inspected, whatever the result. */
  readonly staysDue?: true;
  /** What was counted since it was done, and the interval of the settings; no interval: it is due by an event alone. */
  readonly count: (
    since: CountedSince,
    rules: MaintenanceRules,
  ) => readonly [counted: number, allowed?: number];
  /** A check that shows something, OK or not; a new printer asks for all of them. */
  readonly check?: {
    readonly words: (practices: Pick<Practices, 'levelOn'>) => InspectionWords;
    readonly caution: string;
  };
}

/** What happened since a kind of maintenance was done last. */
interface CountedSince {
  readonly runs: readonly RunOfMaintenance[];
  /** Days that the vat has stood since then, or since the first run where it was never done; 0 without one. */
  readonly days: number;
}

const sum = ({ runs }: CountedSince, of: (run: RunOfMaintenance) => number) =>
  runs.reduce((total, run) => total + of(run), 0);
const prints = ({ runs }: CountedSince): readonly [number] => [runs.length];

/** Maintenance of a printer that is counted. */
const MAINTENANCE_DEFINITIONS = {
  film: {
    title: 'Change film',
    unit: ['layer', 'layers'],
    count: (since, { filmLayers }) => [sum(since, ({ layers }) => layers), filmLayers],
  },
  panel: {
    title: 'Replace screen',
    unit: ['hour of light', 'hours of light'],
    count: (since, { panelHours }) => [sum(since, ({ lightHours }) => lightHours), panelHours],
  },
  level: {
    title: 'Level plate',
    unit: ['print', 'prints'],
    askedBy: ['printer', 'film'],
    staysDue: true,
    count: prints,
    check: {
      words: ({ levelOn }) => ({
        title: 'Level',
        how: `${levelOn === 'film' ? 'Put a strip of paper on the film of the empty vat' : 'Remove the vat and put a strip of paper on the bare screen'}, below each corner of the plate in turn. It must drag the same at all four corners.`,
        well: 'same drag at all four corners',
        amiss: 'one corner differs',
      }),
      caution:
        'Look before you lower the plate: an object under it breaks the screen. Keep your fingers out of the lift.',
    },
  },
  drain: {
    title: 'Drain and wipe vat',
    caution:
      'Filter the resin back into its own bottle, never into the drain. Cure paper and filter in daylight before you throw them away.',
    unit: ['day', 'days'],
    count: ({ days }, { drainDays }) => [days, drainDays],
  },
  filter: {
    title: 'Filter resin',
    unit: ['print', 'prints'],
    count: ({ runs }, { filterRuns }) => [runs.length, filterRuns],
  },
  washLiquid: {
    title: 'Change wash liquid',
    caution:
      'Solvent burns. Use no flame. Cure the resin in it, let it settle, and hand it in under local rules.',
    unit: ['piece', 'pieces'],
    count: (since, { washParts }) => [sum(since, ({ pieces }) => pieces), washParts],
  },
  clearVat: {
    title: 'Clear vat of cured resin',
    unit: ['failure', 'failures'],
    askedBy: ['failure'],
    count: (since) => [sum(since, ({ leftSolids }) => Number(leftSolids))],
  },
  imageCheck: {
    title: 'Check display image',
    unit: ['print', 'prints'],
    askedBy: ['printer', 'panel'],
    count: prints,
    check: {
      words: () => ({
        title: 'Image',
        how: 'Remove the vat and put white paper on the screen. Show all pixels lit, then a grid, then dark. Look from the side for dark patches, missing pixels, and light that stays on.',
        well: 'even, complete, dark when off',
        amiss: 'patches, dead pixels or light that stays on',
      }),
      caution:
        'Ultraviolet: never look into the screen. Wear UV-blocking glasses, or look through a phone camera.',
    },
  },
  firstPiece: {
    title: 'Print and measure first part',
    unit: ['print', 'prints'],
    askedBy: ['printer', 'panel'],
    staysDue: true,
    count: prints,
    check: {
      words: () => ({
        title: 'First test part',
        how: 'Print a small block of known sizes (Gauges) in the middle of the plate and measure it. It must be complete and near the drawn sizes.',
        well: 'complete, sizes as expected',
        amiss: 'poor, or sizes far off',
      }),
      caution:
        'The part is uncured resin until it is washed and cured: wear gloves and eye protection, and ventilate.',
    },
  },
  lookOver: {
    title: 'Inspect printer',
    unit: ['print', 'prints'],
    count: ({ runs }, { lookRuns }) => [runs.length, lookRuns],
  },
} as const satisfies Readonly<Record<string, MaintenanceDefinition>>;

type Definitions = typeof MAINTENANCE_DEFINITIONS;
export type MaintenanceKind = keyof Definitions;
export const MAINTENANCE_KINDS = keysOf(MAINTENANCE_DEFINITIONS);

export const maintenanceOf = (kind: MaintenanceKind): MaintenanceDefinition => MAINTENANCE_DEFINITIONS[kind];

/** Checks of a printer; in the order in which a new printer is set up. */
export const CHECK_KINDS = [
  'imageCheck',
  'level',
  'firstPiece',
] as const satisfies readonly MaintenanceKind[];
export type CheckKind = {
  [Kind in MaintenanceKind]: Definitions[Kind] extends { readonly check: object } ? Kind : never;
}[MaintenanceKind];

/** A check by shop practice, and its caution. */
export const checkOf = (kind: CheckKind) => MAINTENANCE_DEFINITIONS[kind].check;

export const isCheck = (kind: MaintenanceKind): kind is CheckKind => maintenanceOf(kind).check !== undefined;

/** Whether maintenance with this result counts as done. */
export const countsAsDone = (kind: MaintenanceKind, isWell: boolean): boolean =>
  isWell || maintenanceOf(kind).staysDue !== true;

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

/** Why maintenance is due before its interval is over. */
export const BECAUSE_WORDS = {
  printer: 'the printer is new',
  film: 'the film is new',
  panel: 'the screen is new',
  failure: 'a failure may have left cured resin in the vat',
} as const;

/** Something after which other care is due: a new printer, film or panel, a failure that can have left something in the vat. */
export interface MaintenanceEvent {
  readonly kind: keyof typeof BECAUSE_WORDS;
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

/** What was counted since each kind of care was done: by what happened, not by the calendar alone. */
export function countMaintenance({ runs, events, done, rules, now }: MaintenanceAsk): MaintenanceCount[] {
  return MAINTENANCE_KINDS.map((kind) => {
    const { askedBy = [], count } = maintenanceOf(kind);
    const doneAt = done[kind];
    const since = {
      runs: runs.filter(({ endedAt }) => doneAt === undefined || endedAt > doneAt),
      days: daysSince(doneAt, runs, now),
    };
    const [counted, allowed] = count(since, rules);
    const because = events
      .filter((event) => askedBy.includes(event.kind) && (doneAt === undefined || event.at > doneAt))
      .sort((x, y) => y.at.getTime() - x.at.getTime())[0]?.kind;
    const isDue = because !== undefined || (allowed !== undefined && counted >= allowed);
    return { kind, doneAt, counted, allowed, because, isDue };
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
