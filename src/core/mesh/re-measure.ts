import type { FeatureKind } from '@/core/metrology';
import { correctMesh, type CorrectedMesh, type PartCorrection } from './correct';
import { measureFeature, type MeasureIssue } from './measure';
import type { Mesh, Point } from './mesh';

/** A feature to be found again on a mesh. */
export interface AnchoredFeature {
  readonly id: number;
  readonly kind: FeatureKind;
  readonly anchorMm: Point;
}

/** Size of one feature before and after a correction, mm. */
export interface CorrectedSize {
  readonly id: number;
  readonly beforeMm: number;
  readonly afterMm: number;
}

export interface MeasuredCorrection extends CorrectedMesh {
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
  by: PartCorrection,
  features: readonly AnchoredFeature[],
): MeasuredCorrection {
  const corrected = correctMesh(mesh, by);
  const sizes: CorrectedSize[] = [];
  const notFound: { id: number; issue: MeasureIssue }[] = [];
  for (const { id, kind, anchorMm } of features) {
    const vertex = nearestVertex(mesh, anchorMm);
    const moved = [0, 1, 2].map(
      (i) => anchorMm[i] + corrected.mesh.positions[3 * vertex + i] - mesh.positions[3 * vertex + i],
    ) as unknown as Point;
    const before = measureFeature(mesh, kind, anchorMm);
    const after = measureFeature(corrected.mesh, kind, moved);
    if (before.ok && after.ok) sizes.push({ id, beforeMm: before.value, afterMm: after.value });
    else if (!before.ok) notFound.push({ id, issue: before.issue });
    else if (!after.ok) notFound.push({ id, issue: after.issue });
  }
  return { ...corrected, sizes, notFound };
}
