import { mixtureMoments, type NormalMixture } from '@/core/kit/numerics';
import type { FeatureKind, PartState } from '@/core/measure';
import type { Signature } from './estimate';
import { latentSize, type LatentSize, placeQuery } from './latent-size';
import { type ColumnKey, columnOf, type PrintRef, printToCome } from './columns';
import type { PlatePlace } from './law';
import type { Evidence } from './gather-evidence';
import { type ModelRow, rowOf } from './rows';
import { shiftPrior, type ShiftedState, stateUnderCoat } from './states';

/** A size to be predicted. */
export interface SizeQuery {
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  /** Name under which it was measured before, if it was: then its own repeatable deviation counts. */
  readonly feature?: string;
  /** A print already made; left out: one to come, with its own drift and chance. */
  readonly print?: PrintRef;
  /** The run that the print came out of, where others came out of it too. */
  readonly run?: string;
  /** Its place on the plate; left out if unknown. */
  readonly place?: PlatePlace;
  /** State in which the size is asked for; default that of the signature. */
  readonly state?: PartState;
  /** Key of the jaw whose bias is to be in it: a reading's, not a size's. */
  readonly bias?: ColumnKey;
  /** Thickness of a coat on each face, mm, for a size asked for coated. */
  readonly coatMm?: number;
  /** Pixel pitch, mm, when XY edges land on pixels without anti-aliasing: adds px/√6 of chance. */
  readonly pixelMm?: number;
}

/** Two flat edges along X or Y, each uniform within a pixel; round and slanted edges average the grid out. */
function snapVariance({ kind, pixelMm }: SizeQuery): number {
  const aligned = kind.axis === 'X' || kind.axis === 'Y';
  return pixelMm === undefined || !aligned ? 0 : (pixelMm * pixelMm) / 6;
}

/** A name that no stored feature has: for a feature that was never measured. */
const NEW = '\u0000new';

/** What is assumed of the shift of a state that was not read: it has no column; mm. */
function unreadShift(evidence: Evidence, { shared }: ModelRow, state: PartState, base: ShiftedState) {
  const shift = shared.find(({ key }) => columnOf(key).kind === 'shift');
  if (shift === undefined || evidence.layout.at.has(shift.key)) return { mean: 0, sd: 0 };
  const { mean, sd } = shiftPrior(stateUnderCoat(state), base);
  return { mean: mean * shift.value, sd: sd * shift.value };
}

/** The size at each node as a function of the shared columns; what covariances and joint chances are made of. */
export function latentSizes(
  { posterior: { evidence, frame, nodes }, state }: Signature,
  query: SizeQuery,
): LatentSize[] {
  const facts = {
    ...query,
    feature: query.feature ?? NEW,
    print: query.print ?? printToCome(),
    state: query.state ?? state,
  };
  const row = rowOf(facts, frame);
  const placed = placeQuery(evidence, row);
  const unread = unreadShift(evidence, row, facts.state, frame.base);
  return nodes.map((node) => {
    const size = latentSize(evidence, node, placed);
    const offsetMm = size.offsetMm + row.knownMm + unread.mean;
    return { ...size, offsetMm, variance: size.variance + unread.sd ** 2 };
  });
}

/** The mixture of a size whose nodes were worked out before, pixel snapping added. */
export function mixtureOf(
  { posterior: { weights } }: Signature,
  query: SizeQuery,
  sizes: readonly LatentSize[],
): NormalMixture {
  const extra = snapVariance(query);
  return {
    weights,
    means: Float64Array.from(sizes, ({ offsetMm }) => query.drawnMm + offsetMm),
    variances: Float64Array.from(sizes, ({ variance }) => variance + extra),
  };
}

/**
 * Returns the printed size of a feature drawn at `drawnMm`: a mixture of normals over the grid of scatters, mm. For a
 * future print it includes the feature's repeatable deviation (its own if it was measured), chance, drift and rounding
 * to pixels; the bias of the caliper is not included, because it belongs to readings.
 */
export function predictSize(signature: Signature, query: SizeQuery): NormalMixture {
  return mixtureOf(signature, query, latentSizes(signature, query));
}

/** The offset of the mixture's mean at a drawn size, mm. */
export function predictOffset(signature: Signature, query: SizeQuery): number {
  return mixtureMoments(predictSize(signature, query)).mean - query.drawnMm;
}

/** A prediction reaches beyond what was measured: more than 1.5 × the longest size read. */
export function reachesBeyond(signature: Signature, drawnMm: number): boolean {
  return signature.longestMm > 0 && drawnMm > 1.5 * signature.longestMm;
}
