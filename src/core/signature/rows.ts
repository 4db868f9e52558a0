import type { FeatureKind, PartState } from '@/core/metrology';
import { DRIFT_EDGE_SD_MM, DRIFT_SCALE_SD, driftRow, lawRow, type PlatePlace } from './law';
import type { Observation } from './observations';
import { COAT_U_SHARE, coatedFaces, shiftLength, type ShiftedState, stateUnderCoat } from './states';

/** One entry of a row: what it multiplies, by name, and by how much. */
interface Entry {
  readonly key: string;
  readonly value: number;
}

/** A size of one feature in one print as a row of the linear model, apart from what was read. */
export interface ModelRow {
  readonly feature: string;
  readonly print: string;
  readonly drawnMm: number;
  /** Over the law's parameters. */
  readonly law: Float64Array;
  /** Columns beside the law that all share: the shift of a state, the bias of a jaw. */
  readonly shared: readonly Entry[];
  /** What some rows share and nobody measured, with the sd of its prior: drift of the print, warmth of the sitting, coat. */
  readonly unknowns: readonly (Entry & { readonly sd: number })[];
}

/** A row with what was read: offset = size − drawn and the variance of its noise, mm and mm². */
export interface DataRow extends ModelRow {
  readonly offsetMm: number;
  readonly variance: number;
}

/** What a row is made from; all but the kind and the drawn size may be unknown. */
export interface RowFacts {
  readonly feature: string;
  readonly print: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  readonly place?: PlatePlace;
  readonly state: PartState;
  readonly coatMm?: number;
  /** Key of the jaw whose bias is in it; see biasKey. */
  readonly bias?: string;
  readonly warmth?: { readonly sitting: string; readonly u: number };
}

export function biasKey(instrument: string, jaw: string): string {
  return JSON.stringify(['bias', instrument, jaw]);
}

const SHIFT = 'shift ';

export function shiftKey(state: ShiftedState, along: 'xy' | 'z'): string {
  return `${SHIFT}${state} ${along}`;
}

export function isShiftKey(key: string): boolean {
  return key.startsWith(SHIFT);
}

/** The drift of one print: names of its two unknowns. */
export function driftKeys(print: string): { readonly edge: string; readonly scale: string } {
  return { edge: `edge ${print}`, scale: `scale ${print}` };
}

/** The row of a size; `base` is the state that the law speaks of. */
export function rowOf(facts: RowFacts, base: ShiftedState): ModelRow {
  const { feature, print, kind, drawnMm, place, warmth } = facts;
  const shared: Entry[] = [];
  const state = stateUnderCoat(facts.state);
  if (state !== base) {
    const { along, mm } = shiftLength(kind, drawnMm);
    shared.push({ key: shiftKey(state, along), value: mm });
  }
  if (facts.bias !== undefined) shared.push({ key: facts.bias, value: 1 });
  const unknowns: (Entry & { sd: number })[] = [];
  const drift = driftRow(kind, drawnMm);
  const keys = driftKeys(print);
  if (drift.edge !== 0) unknowns.push({ key: keys.edge, value: drift.edge, sd: DRIFT_EDGE_SD_MM });
  if (drift.scale !== 0) unknowns.push({ key: keys.scale, value: drift.scale, sd: DRIFT_SCALE_SD });
  if (warmth !== undefined) unknowns.push({ key: `warmth ${warmth.sitting}`, value: drawnMm, sd: warmth.u });
  if (facts.state === 'coated' && facts.coatMm !== undefined && coatedFaces(kind) !== 0)
    unknowns.push({ key: `coat ${print}`, value: coatedFaces(kind), sd: COAT_U_SHARE * facts.coatMm });
  return { feature, print, drawnMm, law: lawRow(kind, drawnMm, place), shared, unknowns };
}

/** Offset that a coat of known thickness brings, mm. */
function coatOffset({ state, coatMm, kind }: Observation): number {
  return state === 'coated' ? coatedFaces(kind) * (coatMm ?? 0) : 0;
}

export function rowOfObservation(observation: Observation, base: ShiftedState): DataRow {
  const { jaw, instrument } = observation;
  const bias = jaw === undefined ? undefined : biasKey(instrument, jaw);
  return {
    ...rowOf({ ...observation, bias }, base),
    offsetMm: observation.sizeMm - observation.drawnMm - coatOffset(observation),
    variance: observation.u_mm ** 2,
  };
}
