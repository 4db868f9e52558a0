import type { Jaw } from '@/core/measure';
import type { ParameterName } from './law';
import type { ShiftedState } from './states';

/** A print by the name it is stored under, or the nth print to come, which no stored print can be taken for. */
export type PrintRef = string | { readonly toCome: number };

/** The nth print to come, from 0. */
export const printToCome = (nth = 0): PrintRef => ({ toCome: nth });

/** What a change left unknown of the law: the nth of its own factors, a known move, or a shift between states. */
type LeftUnknown =
  | { readonly of: 'law'; readonly nth: number }
  | { readonly of: 'moved'; readonly parameter: ParameterName }
  | { readonly of: 'shift'; readonly state: ShiftedState; readonly along: 'xy' | 'z' };

/** A column of the linear model, or what can become one: everything that several rows share. */
export type Column =
  | { readonly kind: 'law'; readonly parameter: ParameterName }
  /** Of a jaw of an instrument, mm. */
  | { readonly kind: 'bias'; readonly instrument: string; readonly jaw: Jaw }
  /** The repeatable deviation of a feature. */
  | { readonly kind: 'habit'; readonly feature: string }
  /** A feature's chance in one print. */
  | { readonly kind: 'chance'; readonly feature: string; readonly print: PrintRef }
  /** The drift of one run of a printer. */
  | { readonly kind: 'drift'; readonly run: PrintRef; readonly of: 'edge' | 'scale' }
  | { readonly kind: 'shift'; readonly state: ShiftedState; readonly along: 'xy' | 'z' }
  /** Temperature of a part in one session. */
  | { readonly kind: 'warmth'; readonly sitting: string }
  | { readonly kind: 'coat'; readonly print: PrintRef }
  /** Of the nth change of a profile, or of one that is foreseen. */
  | { readonly kind: 'change'; readonly change: number | 'foreseen'; readonly left: LeftUnknown };

declare const column: unique symbol;
/** A column as the key of a map: equal columns have equal keys, also in another thread. */
export type ColumnKey = string & { readonly [column]: true };

// Each kind is written in one place only, so that its fields always have the same order.
const keyOf = (of: Column): ColumnKey => JSON.stringify(of) as ColumnKey;

/** The column of a key. */
export const columnOf = (key: ColumnKey): Column => JSON.parse(key) as Column;

export const lawKey = (parameter: ParameterName) => keyOf({ kind: 'law', parameter });
export const biasKey = (instrument: string, jaw: Jaw) => keyOf({ kind: 'bias', instrument, jaw });
export const habitKey = (feature: string) => keyOf({ kind: 'habit', feature });
export const chanceKey = (feature: string, print: PrintRef) => keyOf({ kind: 'chance', feature, print });
export const driftKey = (run: PrintRef, of: 'edge' | 'scale') => keyOf({ kind: 'drift', run, of });
export const shiftKey = (state: ShiftedState, along: 'xy' | 'z') => keyOf({ kind: 'shift', state, along });
export const warmthKey = (sitting: string) => keyOf({ kind: 'warmth', sitting });
export const coatKey = (print: PrintRef) => keyOf({ kind: 'coat', print });

/** What a change left unknown: one of its own factors of the law, a known move, or a shift between states. */
export const changeKeys = (change: number | 'foreseen') => ({
  factor: (nth: number) => keyOf({ kind: 'change', change, left: { of: 'law', nth } }),
  moved: (parameter: ParameterName) => keyOf({ kind: 'change', change, left: { of: 'moved', parameter } }),
  shift: (state: ShiftedState, along: 'xy' | 'z') =>
    keyOf({ kind: 'change', change, left: { of: 'shift', state, along } }),
});
export type ChangeKeys = ReturnType<typeof changeKeys>;

/**
 * A shared column beside the law's: its prior, of a standard deviation or of the scatter of repeatable deviations
 * (τ_b).
 */
export interface SharedColumn {
  readonly key: ColumnKey;
  readonly mean: number;
  readonly sd: number | 'habit';
}
