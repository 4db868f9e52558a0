import type { FeatureKind, PartState } from '@/core/measure';
import { EDGE_SIGN } from './law';

/** States that are learned beside the base, each by a shift per mm in XY and one along Z. A coat comes by its thickness. */
export const SHIFTED_STATES = ['green', 'washed', 'cured', 'aged'] as const;
export type ShiftedState = (typeof SHIFTED_STATES)[number];

/** Sizes in a state against cured, per mm: mean and standard deviation before anything was read (docs/methods.md §2). */
const AGAINST_CURED: Readonly<Record<ShiftedState, { readonly mean: number; readonly sd: number }>> = {
  green: { mean: 0.001, sd: 0.002 },
  washed: { mean: 0.001, sd: 0.002 },
  cured: { mean: 0, sd: 0 },
  aged: { mean: -0.0005, sd: 0.001 },
};

/** A part that is coated has the sizes of a cured one and its coat. */
export function stateUnderCoat(state: PartState): ShiftedState {
  return state === 'coated' ? 'cured' : state;
}

/** Shift of `state` against `base`, per mm, before anything was read. */
export function shiftPrior(
  state: ShiftedState,
  base: ShiftedState,
): { readonly mean: number; readonly sd: number } {
  const [own, from] = [AGAINST_CURED[state], AGAINST_CURED[base]];
  return { mean: own.mean - from.mean, sd: Math.hypot(own.sd, from.sd) };
}

/**
 * The state of the law: cured, unless everything was measured in one other state. Every other state among `states` is
 * learned as a shift against it.
 */
export function baseState(states: Iterable<PartState>): ShiftedState {
  const read = new Set([...states].map(stateUnderCoat));
  return read.size === 1 ? [...read][0] : 'cured';
}

/** What a state's shift multiplies: the length in the plane (as the columns of ε_X, ε_Y together) or along Z, mm. */
export function shiftLength(
  kind: FeatureKind,
  drawnMm: number,
): { readonly along: 'xy' | 'z'; readonly mm: number } {
  return { along: kind.axis === 'Z' ? 'z' : 'xy', mm: drawnMm };
}

/** What the thickness of a coat multiplies: a face on each side. */
export function coatedFaces({ sense }: FeatureKind): number {
  return 2 * EDGE_SIGN[sense];
}

/** A coat's thickness is known to a third of itself. */
export const COAT_U_SHARE = 1 / 3;
