import { mixtureMoments, type NormalMixture } from '@/core/numerics';
import type { FeatureKind } from '@/core/metrology';
import { DRIFT_EDGE_SD_MM, DRIFT_SCALE_SD, driftRow } from './law';
import { latentEntries } from './model';
import { latentSize, type LatentSize } from './node';
import type { Posterior, Signature } from './estimate';

/** A size to be predicted. */
export interface SizeQuery {
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  /** Name under which it was measured before, if it was: then its own habit counts. */
  readonly feature?: string;
  /** A print already made; left out: one to come, with its own drift and chance. */
  readonly print?: string;
  /** Pixel pitch, mm, when XY edges land on pixels without anti-aliasing: adds px/√6 of chance. */
  readonly pixelMm?: number;
}

/** Two flat edges along X or Y, each uniform within a pixel; round and slanted edges average the grid out. */
function snapVariance({ kind, pixelMm }: SizeQuery): number {
  const aligned = kind.axis === 'X' || kind.axis === 'Y';
  return pixelMm === undefined || !aligned ? 0 : (pixelMm * pixelMm) / 6;
}

/** Variance that the drift of a print to come adds, mm². */
function driftVariance(query: SizeQuery): number {
  const drift = driftRow(query.kind, query.drawnMm);
  return (drift.edge * DRIFT_EDGE_SD_MM) ** 2 + (drift.scale * DRIFT_SCALE_SD) ** 2;
}

/** The size at each node as a function of the latent vector; what covariances and joint chances are made of. */
export function latentSizes(posterior: Posterior, query: SizeQuery): LatentSize[] {
  const { model } = posterior;
  const row = { print: query.print ?? '\u0000to come', kind: query.kind, drawnMm: query.drawnMm };
  const latent = {
    ...latentEntries(model, row),
    feature: query.feature === undefined ? -1 : model.features.indexOf(query.feature),
    print: query.print === undefined ? -1 : model.prints.indexOf(query.print),
  };
  return posterior.nodes.map((node, i) => latentSize(model, posterior.dataOfNode[i], node, latent));
}

/**
 * Printed size of a feature drawn at `drawnMm`: a mixture of normals over the grid of scatters, mm.
 * For a print to come it holds the feature's habit (its own where it was measured), chance, drift and pixel snapping;
 * the bias of the caliper is not in it, since it belongs to readings.
 */
export function predictSize({ posterior }: Signature, query: SizeQuery): NormalMixture {
  const seen = query.print !== undefined && posterior.model.prints.includes(query.print);
  const extra = snapVariance(query) + (seen ? 0 : driftVariance(query));
  const sizes = latentSizes(posterior, query);
  return {
    weights: posterior.weights,
    means: Float64Array.from(sizes, (size) => query.drawnMm + size.offsetMm),
    variances: Float64Array.from(sizes, (size) => size.variance + extra),
  };
}

/** The offset of the mixture's mean at a drawn size, mm. */
export function predictOffset(signature: Signature, query: SizeQuery): number {
  return mixtureMoments(predictSize(signature, query)).mean - query.drawnMm;
}

/** A prediction reaches beyond what was measured: more than 1.5 × the longest size read. */
export function reachesBeyond(signature: Signature, drawnMm: number): boolean {
  return signature.longestMm > 0 && drawnMm > 1.5 * signature.longestMm;
}
