import type { FeatureKind, PartState } from '@/core/measure';
import type { StateShift } from './estimate';
import {
  COAT_U_SHARE,
  coatedFaces,
  shiftLength,
  shiftPrior,
  type ShiftedState,
  stateUnderCoat,
} from './states';

/** A size measured in one state as it will be in another. */
interface Conversion {
  /** To be added to the size, mm. */
  readonly offsetMm: number;
  /** Standard uncertainty that the conversion brings, mm. */
  readonly u_mm: number;
}

interface Between {
  readonly from: PartState;
  readonly to: PartState;
  /** Thickness of the coat on each face, mm, if one of the states is coated; undefined if unknown. */
  readonly coatMm?: number;
}

/** Shift of a state against cured, per mm: as learned, else as it is before anything was read. */
function shiftOf(state: ShiftedState, along: 'xy' | 'z', shifts: readonly StateShift[]) {
  return shifts.find((shift) => shift.state === state)?.[along] ?? shiftPrior(state, 'cured');
}

/**
 * What to add to a size read in one state so that it holds in another, and the doubt about it. The shifts are those of
 * the profile against cured; what it was not read in stands as before any reading. Undefined where a coat has no thickness.
 * Example: a shaft of 20 read green, green being larger by 0.0010 ± 0.0020: −0.020 ± 0.040 when cured.
 */
export function convertState(
  kind: FeatureKind,
  drawnMm: number,
  { from, to, coatMm }: Between,
  shifts: readonly StateShift[],
): Conversion | undefined {
  const { along, mm } = shiftLength(kind, drawnMm);
  const [before, after] = [stateUnderCoat(from), stateUnderCoat(to)];
  const same = before === after;
  const [here, there] = [shiftOf(before, along, shifts), shiftOf(after, along, shifts)];
  const offsetMm = same ? 0 : (there.mean - here.mean) * mm;
  const u_mm = same ? 0 : Math.hypot(here.sd, there.sd) * mm;
  const coats = (to === 'coated' ? 1 : 0) - (from === 'coated' ? 1 : 0);
  if (coats === 0) return { offsetMm, u_mm };
  if (coatMm === undefined || !(coatMm > 0)) return undefined;
  const coat = coatedFaces(kind) * coatMm;
  return { offsetMm: offsetMm + coats * coat, u_mm: Math.hypot(u_mm, COAT_U_SHARE * coat) };
}
