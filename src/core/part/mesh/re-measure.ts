import type { FeatureKind } from '@/core/measure';
import { CORRECT_DEFAULTS, correctMesh, drawnFor, type CorrectedMesh, type PartCorrection } from './correct';
import { findFeatures, MOST_FEATURE_FACETS, type FoundFeature } from './features';
import { measureFeature, type MeasureIssue } from './measure';
import type { Mesh, Point } from './mesh';

/** A feature to be found again on a mesh. */
export interface AnchoredFeature {
  readonly id: number;
  readonly kind: FeatureKind;
  readonly anchorMm: Point;
}

/** Size of one feature before and after a correction, and its wanted size, mm. */
export interface CorrectedSize {
  readonly id: number;
  readonly beforeMm: number;
  readonly afterMm: number;
  readonly askedMm: number;
}

export interface MeasuredCorrection extends ProvenCorrection {
  readonly sizes: readonly CorrectedSize[];
  readonly notFound: readonly { readonly id: number; readonly issue: MeasureIssue }[];
}

/** The vertex nearest to a place: where a vertex went, the place went. */
function nearestVertex({ positions }: Mesh, place: Point): number {
  let best = 0;
  let least = Infinity;
  for (let vertex = 0; vertex < positions.length / 3; vertex++) {
    const apart = [0, 1, 2].reduce((sum, i) => sum + (positions[3 * vertex + i] - place[i]) ** 2, 0);
    if (apart < least) [least, best] = [apart, vertex];
  }
  return best;
}

/**
 * Corrects a mesh and measures its features on both sides, so that what is printed is what was measured.
 * Features are found again from their anchors, each moved with the vertex nearest to it.
 */
export function correctAndMeasure(
  mesh: Mesh,
  { by, onPlate = true }: CorrectionWanted,
  features: readonly AnchoredFeature[],
): MeasuredCorrection {
  const corrected = correctAndProve(mesh, { by, onPlate });
  const sizes: CorrectedSize[] = [];
  const notFound: { id: number; issue: MeasureIssue }[] = [];
  for (const { id, kind, anchorMm } of features) {
    const vertex = nearestVertex(mesh, anchorMm);
    const moved = [0, 1, 2].map(
      (i) => anchorMm[i] + corrected.mesh.positions[3 * vertex + i] - mesh.positions[3 * vertex + i],
    ) as unknown as Point;
    const before = measureFeature(mesh, kind, anchorMm);
    const after = measureFeature(corrected.mesh, kind, moved);
    if (before.ok && after.ok)
      sizes.push({
        id,
        beforeMm: before.value,
        afterMm: after.value,
        askedMm: drawnFor(standing(kind, onPlate), before.value, by),
      });
    else if (!before.ok) notFound.push({ id, issue: before.issue });
    else if (!after.ok) notFound.push({ id, issue: after.issue });
  }
  return { ...corrected, sizes, notFound };
}

function recognise(mesh: Mesh): readonly FoundFeature[] {
  return mesh.facets.length / 3 <= MOST_FEATURE_FACETS ? findFeatures(mesh) : [];
}

/** Returns a recognised size before and after a correction, and its wanted size, mm. */
export interface ProvenSize {
  readonly feature: FoundFeature;
  readonly askedMm: number;
  /** undefined: not found again. */
  readonly afterMm?: number;
}

/** What a part is corrected for, and whether its lowest flat face stands on the plate; default: it does. */
export interface CorrectionWanted {
  readonly by: PartCorrection;
  readonly onPlate?: boolean;
}

export interface ProvenCorrection extends CorrectedMesh {
  readonly proofs: readonly ProvenSize[];
}

/**
 * Corrects a mesh for all that is recognised on it and finds the same features again on the result. A wall between two
 * slots cannot have both its own size and theirs: it shows what it missed.
 */
export function correctAndProve(mesh: Mesh, { by, onPlate = true }: CorrectionWanted): ProvenCorrection {
  const features = recognise(mesh);
  const corrected = correctMesh(mesh, by, { ...CORRECT_DEFAULTS, onPlate, features });
  const after = recognise(corrected.mesh);
  const proofs = features
    .filter(({ kind }) => kind.shape === 'flat' || kind.axis === 'XY')
    .map((feature): ProvenSize => {
      const askedMm = drawnFor(standing(feature.kind, onPlate), feature.nominalMm, by);
      const sameFacet = feature.facets[0];
      const again = after.find(
        ({ sort, facets }) =>
          sort === feature.sort && facets.includes(sameFacet) && sharesMost(facets, feature.facets),
      );
      return { feature, askedMm, ...(again === undefined ? {} : { afterMm: again.nominalMm }) };
    });
  return { ...corrected, proofs };
}

/** On supports no lower face stands on the plate. */
function standing(kind: FeatureKind, onPlate: boolean): FeatureKind {
  return onPlate || kind.base !== 'plate' ? kind : { ...kind, base: 'supported' };
}

/** Facets keep their numbers through a correction. */
function sharesMost(a: readonly number[], b: readonly number[]): boolean {
  const known = new Set(a);
  return b.filter((facet) => known.has(facet)).length > 0.8 * b.length;
}
