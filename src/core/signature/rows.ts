import type { FeatureKind, PartState } from '@/core/measure';
import { DRIFT_EDGE_SD_MM, DRIFT_SCALE_SD, driftRow, lawRow, type PlatePlace } from './law';
import type { Observation } from './observations';
import { biasKey, coatKey, type ColumnKey, driftKey, type PrintRef, shiftKey, warmthKey } from './columns';
import type { Frame } from './frame';
import { COAT_U_SHARE, coatedFaces, shiftLength, stateUnderCoat } from './states';

/** One entry of a row: what it multiplies, by name, and by how much. */
interface Entry {
  readonly key: ColumnKey;
  readonly value: number;
}

/** A size of one feature in one print as a row of the linear model, apart from what was read. */
export interface ModelRow {
  readonly feature: string;
  readonly print: PrintRef;
  readonly drawnMm: number;
  /** Over the law's parameters. */
  readonly law: Float64Array;
  /** Columns beside the law that all share: the shift of a state, the bias of a jaw, what a change left unknown. */
  readonly shared: readonly Entry[];
  /** Offset that is known beforehand, mm: a coat's thickness, what a change is known to have moved. */
  readonly knownMm: number;
  /**
   * What some rows share without being measured, with the sd of its prior: drift of the print, temperature of the
   * session, coat.
   */
  readonly unknowns: readonly (Entry & { readonly sd: number })[];
}

/** A row with what was read: offset = size − drawn − what is known beforehand, and the variance of its noise, mm and mm². */
export interface DataRow extends ModelRow {
  readonly offsetMm: number;
  readonly variance: number;
}

/** What a row is made from; all but the kind and the drawn size may be unknown. */
export interface RowFacts {
  readonly feature: string;
  readonly print: PrintRef;
  /** What the drift is shared with: the run of the printer; default the print. */
  readonly run?: PrintRef;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  readonly place?: PlatePlace;
  readonly state: PartState;
  readonly coatMm?: number;
  /** Key of the jaw whose bias is in it; see biasKey. */
  readonly bias?: ColumnKey;
  readonly warmth?: { readonly sitting: string; readonly u: number };
}

/** The row of a size as if it were printed now, in the state it is asked in. */
function rowNow(facts: RowFacts, { base }: Frame) {
  const { kind, drawnMm, place } = facts;
  const state = stateUnderCoat(facts.state);
  const { along, mm } = shiftLength(kind, drawnMm);
  return { law: lawRow(kind, drawnMm, place), shift: state === base ? undefined : { state, along, mm } };
}

/** Law and shift of a size as its print was made or will be: on the other side of a change they are what they are now, less exactly. */
function lawfulEntries(
  facts: RowFacts,
  frame: Frame,
): Pick<ModelRow, 'law' | 'shared' | 'knownMm' | 'unknowns'> {
  const { law, shift } = rowNow(facts, frame);
  const now = shift === undefined ? [] : [{ key: shiftKey(shift.state, shift.along), value: shift.mm }];
  const isAhead = typeof facts.print !== 'string';
  const past = typeof facts.print === 'string' ? frame.pastOf.get(facts.print) : frame.toCome;
  if (past === undefined) return { law, shared: now, knownMm: 0, unknowns: [] };
  const unknown = new Map<ColumnKey, number>();
  let knownMm = 0;
  const take = (value: number, { scale, known, spreads }: (typeof past.law)[number]) => {
    knownMm += value * known;
    for (const [key, each] of spreads) unknown.set(key, (unknown.get(key) ?? 0) + value * each);
    return value * scale;
  };
  const then = law.map((value, i) => (value === 0 ? 0 : take(value, past.law[i])));
  const shifts = now.map(({ key, value }) => ({ key, value: take(value, past.shiftOf(shift!)) }));
  const left = [...unknown].map(([key, value]) => ({ key, value, sd: 1 }));
  // No reading tells yet of what a change to come leaves unknown: it has no column.
  if (isAhead) return { law: then, shared: shifts, knownMm, unknowns: left };
  return {
    law: then,
    shared: [...shifts, ...left.map(({ key, value }) => ({ key, value }))],
    knownMm,
    unknowns: [],
  };
}

/** The row of a size. */
export function rowOf(facts: RowFacts, frame: Frame): ModelRow {
  const { feature, print, kind, drawnMm, warmth, coatMm = 0 } = facts;
  const { law, shared, knownMm, unknowns: ahead } = lawfulEntries(facts, frame);
  const bias = facts.bias === undefined ? [] : [{ key: facts.bias, value: 1 }];
  const unknowns: (Entry & { sd: number })[] = [...ahead];
  const drift = driftRow(kind, drawnMm);
  const run = facts.run ?? print;
  if (drift.edge !== 0)
    unknowns.push({ key: driftKey(run, 'edge'), value: drift.edge, sd: DRIFT_EDGE_SD_MM });
  if (drift.scale !== 0)
    unknowns.push({ key: driftKey(run, 'scale'), value: drift.scale, sd: DRIFT_SCALE_SD });
  if (warmth !== undefined) unknowns.push({ key: warmthKey(warmth.sitting), value: drawnMm, sd: warmth.u });
  const faces = facts.state === 'coated' && coatMm > 0 ? coatedFaces(kind) : 0;
  if (faces !== 0) unknowns.push({ key: coatKey(print), value: faces, sd: COAT_U_SHARE * coatMm });
  return {
    feature,
    print,
    drawnMm,
    law,
    shared: [...shared, ...bias],
    knownMm: knownMm + faces * coatMm,
    unknowns,
  };
}

export function rowOfObservation(observation: Observation, frame: Frame): DataRow {
  const { jaw, instrument } = observation;
  const bias = jaw === undefined ? undefined : biasKey(instrument, jaw);
  const row = rowOf({ ...observation, bias }, frame);
  return {
    ...row,
    offsetMm: observation.sizeMm - observation.drawnMm - row.knownMm,
    variance: observation.u_mm ** 2,
  };
}
