import type { Practices } from '@/core/workshop';

/** What the records already say: nothing to do, not OK, or nobody can tell and a person must look. */
export type KnownState = 'well' | 'bad' | 'ask';

/** Losses to expect of a print now with hours that nobody watches, and of one in the morning. */
export interface NightCosts {
  readonly nowCost: number;
  readonly morningAt: Date;
  readonly morningCost: number;
}

/** Everything that the questions before a start are answered from. Volumes ml, temperatures °C, money in the shop's own. */
export interface ChecklistInput {
  readonly practices: Practices;
  readonly parts: {
    /** Jobs that were not checked in their current orientation. */
    readonly unchecked: readonly string[];
    readonly open: readonly { readonly job: string; readonly count: number }[];
  };
  readonly resin: {
    readonly wanted: string;
    readonly inVat?: string;
    readonly isSame: boolean;
    readonly changeoverMl: number;
    readonly leastRoomC?: number;
    /** Since a bottle of it was shaken, hours; negative by a clock that was set back. */
    readonly shakenH?: number;
  };
  readonly vat: {
    readonly levelMl?: number;
    readonly lots: readonly string[];
    /** Whole days that its resin has been in it. */
    readonly days?: number;
    readonly drainDays: number;
  };
  /** Undefined: the level of the vat is unknown; 'tooMuch': one layer needs more than a full vat. */
  readonly outlook?:
    'tooMuch' | { readonly leftMl: number; readonly dryChance: number; readonly pours: readonly Pour[] };
  readonly bottle?: { readonly leftMl: number; readonly lot: string };
  readonly roomC?: number;
  readonly film: {
    readonly since?: Date;
    readonly layers: number;
    readonly dueLayers: number;
    /** Chance that this print fails by it. */
    readonly risk: number;
    readonly printCost: number;
    readonly cost: number;
  };
  readonly machine: {
    readonly levelled?: Date;
    /** How the last print ended; undefined: there was none. */
    readonly last?: { readonly isStopped: boolean; readonly reason: string };
    /** Failure after which nobody cleared the vat. */
    readonly uncleared?: Date;
    /** It reports its own display over the network. */
    readonly isHeard: boolean;
  };
  readonly display: {
    readonly name: string;
    readonly layers: number;
    readonly seconds: number;
    /** Parts that were to be hollowed before slicing. */
    readonly hollow: readonly { readonly job: string; readonly wallMm: number }[];
  };
  readonly end: { readonly at: Date; readonly isAttended: boolean };
  /** What the hours without anybody cost, if a print that is short of resin then fails with this chance. */
  readonly costsOfNight: (dryChance: number) => NightCosts | undefined;
}

interface Pour {
  readonly addMl: number;
  /** Somebody is present then. */
  readonly isAttended: boolean;
}

/** All facts about one question before a start. */
export interface QuestionDefinition<Facts> {
  readonly name: string;
  readonly caution?: string;
  /** What is known, and how it stands; undefined: this print does not ask it. */
  readonly ask: (input: ChecklistInput) => { readonly facts: Facts; readonly known: KnownState } | undefined;
  /** What is known in words, and what to look at. */
  readonly text: (facts: Facts) => string;
}

/** Lets the compiler hold the facts of a question and its words together. */
export const question = <Facts>(definition: QuestionDefinition<Facts>) => definition;

export const ml = (value: number) => `${Math.round(value)} ml`;
