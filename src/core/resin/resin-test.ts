import { fail, ok, type Result } from '@/core/kit';
import { estimateModulus, type BendIssue, type BendResult, type BendTest } from './bend';
import { strainAtBreak, type BreakIssue, type BreakResult, type BreakTest } from './break-strain';
import { creepDrift, type CreepResult, type CreepTest } from './creep';
import { judgeDrops, type DropIssue, type DropResult, type DropTrial } from './drop';
import { sagTemperature, type SagIssue, type SagResult, type SagTest } from './sag';
import type { Quote } from './sheet';
import { yellowingLimit, type ShadeIssue, type ShadeResult, type ShadeTest } from './yellowing';

export const RESIN_TEST_KINDS = ['bend', 'break', 'sag', 'drop', 'yellowing', 'creep'] as const;
export type ResinTestKind = (typeof RESIN_TEST_KINDS)[number];

/** A test of the workshop with its readings. */
export type ResinTestData =
  | { readonly kind: 'bend'; readonly test: BendTest }
  | { readonly kind: 'break'; readonly test: BreakTest }
  | { readonly kind: 'sag'; readonly test: SagTest }
  | { readonly kind: 'drop'; readonly test: { readonly trials: readonly DropTrial[] } }
  | { readonly kind: 'yellowing'; readonly test: ShadeTest }
  | { readonly kind: 'creep'; readonly test: CreepTest };

export type ResinTestIssue = BendIssue | BreakIssue | SagIssue | DropIssue | ShadeIssue;

export type ResinTestResult =
  | { readonly kind: 'bend'; readonly result: BendResult }
  | { readonly kind: 'break'; readonly result: BreakResult }
  | { readonly kind: 'sag'; readonly result: SagResult }
  | { readonly kind: 'drop'; readonly result: DropResult }
  | { readonly kind: 'yellowing'; readonly result: ShadeResult }
  | { readonly kind: 'creep'; readonly result: CreepResult | undefined };

/** A test on a day, with the state of the bar. */
export type ResinTest = ResinTestData & { readonly on: string };

/** Evaluates a test; refuses one that gives no result. */
export function workOutResinTest(proof: ResinTestData): Result<ResinTestResult, ResinTestIssue> {
  const { kind } = proof;
  switch (kind) {
    case 'bend':
      return named(kind, estimateModulus(proof.test));
    case 'break':
      return named(kind, strainAtBreak(proof.test));
    case 'sag':
      return named(kind, sagTemperature(proof.test));
    case 'drop':
      return named(kind, judgeDrops(proof.test.trials));
    case 'yellowing':
      return named(kind, yellowingLimit(proof.test));
    case 'creep':
      return ok({ kind, result: creepDrift(proof.test) });
  }
}

function named<Kind extends ResinTestKind, Value, Issue>(
  kind: Kind,
  result: Result<Value, Issue>,
): Result<{ readonly kind: Kind; readonly result: Value }, Issue> {
  return result.ok ? ok({ kind, result: result.value }) : fail(result.issue);
}

/** A temperature tested at a stress; it covers any lower stress. */
export interface ProvenHeat {
  readonly stressMPa: number;
  readonly quote: Quote;
}

const proven = (on: string) => ({ condition: 'cured', source: 'proof', on }) as const;

/** Returns the value of a property from a test; a sag test gives heat instead, a creep test none. */
export function provenQuote(proof: ResinTest): Quote | undefined {
  const worked = workOutResinTest(proof);
  if (!worked.ok) return undefined;
  const given = proven(proof.on);
  switch (worked.value.kind) {
    case 'bend': {
      const { modulusMPa: value, lowMPa: low, highMPa: high } = worked.value.result;
      return { ...given, property: 'flexuralModulus_MPa', value, low, high };
    }
    case 'break': {
      const { strain: value, low, high, atLeast } = worked.value.result;
      return atLeast
        ? { ...given, property: 'elongation', value, bound: 'atLeast' }
        : { ...given, property: 'elongation', value, low, high };
    }
    case 'drop': {
      const { heightM: value, atLeast } = worked.value.result;
      return { ...given, property: 'dropHeight_m', value, ...(atLeast ? { bound: 'atLeast' } : {}) };
    }
    case 'yellowing': {
      const { minutes: value, low, high, bound } = worked.value.result;
      return { ...given, property: 'cureCeiling_min', value, low, high, bound };
    }
    case 'sag':
    case 'creep':
      return undefined;
  }
}

export function provenHeat(proof: ResinTest): ProvenHeat | undefined {
  if (proof.kind !== 'sag') return undefined;
  const worked = sagTemperature(proof.test);
  if (!worked.ok) return undefined;
  const { stressMPa, tempC: value, lowC: low, highC: high, bound } = worked.value;
  return {
    stressMPa,
    quote: { ...proven(proof.on), property: 'deflectionLow_C', value, low, high, bound, testMPa: stressMPa },
  };
}
