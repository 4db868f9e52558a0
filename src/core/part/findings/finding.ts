import type { Evidence } from '@/core/log';
import type { LayerReading } from '@/core/part/layers';
import type { MeshCheck } from '@/core/part/mesh';
import type { CheckLimits, PrintSetup, Station } from './limits';

export const RISKS = ['printLost', 'sizeOff', 'surfaceMarred'] as const;
export type Risk = (typeof RISKS)[number];
export const CHANCES = ['sure', 'likely', 'possible'] as const;
export type Chance = (typeof CHANCES)[number];

export const RISK_WORDS: Readonly<Record<Risk, string>> = {
  printLost: 'print may fail',
  sizeOff: 'wrong size',
  surfaceMarred: 'damaged surface',
};

export const CHANCE_WORDS: Readonly<Record<Chance, string>> = {
  sure: 'almost certain',
  likely: 'likely',
  possible: 'possible',
};

/** What was measured of a finding, where, and what it was compared with. */
export interface FindingFacts {
  readonly risk: Risk;
  readonly chance: Chance;
  /** In the unit of its definition, like the limit. */
  readonly measured: number;
  readonly limit?: number;
  readonly station?: Station;
  readonly layer?: number;
  readonly toLayer?: number;
  readonly atMm?: readonly [number, number, number];
  /** Where a hole would vent a cup. */
  readonly ventMm?: readonly [number, number, number];
  readonly volumeMm3?: number;
}

/** Everything a finding is found from. */
export interface FindingContext {
  readonly check: MeshCheck;
  readonly reading: LayerReading;
  readonly limits: CheckLimits;
  readonly setup: PrintSetup;
  readonly liftMm: number;
}

/** A finding as text: what it is, what it does, what to do about it, and what that changes. */
export interface FindingWords {
  readonly title: string;
  readonly does: string;
  readonly mend: string;
  readonly changes: string;
}

/** All facts about one kind of finding. Nothing else in the program knows a finding by its code. */
export interface FindingDefinition {
  /** Unit of the measured value and of its limit. */
  readonly unit: 'mm' | 'mm²' | 'mm³' | 'edges' | 'shells';
  /** The smaller the value, the worse: walls, gaps and contact. */
  readonly isWorseWhenSmall: boolean;
  /** Liquid stays there, so washing and drying take longer. */
  readonly holdsLiquid: boolean;
  /** Stands below the findings as soon as one of this kind is among them. */
  readonly caution?: string;
  /** What the failure reader learns when Check found this where the print failed. */
  readonly speaksFor?: Evidence;
  readonly find: (context: FindingContext) => readonly FindingFacts[];
  /** `tipMm`: the support tip of the datasheet. */
  readonly words: (facts: FindingFacts, tipMm?: number) => FindingWords;
}

/** Facts that most kinds share. */
export const PLAIN = { isWorseWhenSmall: false, holdsLiquid: false } as const;
