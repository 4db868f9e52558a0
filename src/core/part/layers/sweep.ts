import { boundsOf, type Mesh } from '@/core/part/mesh';
import { middleOfLayer, planeFinder, planLayers, type LayerPlan } from './layer-plan';

interface SweepOptions {
  /** Height of a layer, mm. Default 0.05. */
  readonly heightMm: number;
}

const SWEEP_DEFAULTS: SweepOptions = Object.freeze({ heightMm: 0.05 });

/** A part as its layers; arrays hold one number a layer, from the lowest. */
export interface LayerSweep extends LayerPlan {
  /** Signed area of the solid at the middle of each layer, mm²; what two shells share counts twice. */
  readonly areaMm2: Float64Array;
  /** Length of its contours there, mm. */
  readonly perimeterMm: Float64Array;
}

/**
 * Cuts a mesh at the middle of every layer in one pass over its facets. Each facet adds the line it leaves in each plane
 * that it crosses, turned so that the solid lies on its left; the area is the sum of the crosses of its ends (Green), so
 * that no contour need be joined. Cost: facets and crossings, no search; a vertex in a plane belongs above it.
 * Throws RangeError unless the height is positive and the mesh has facets.
 */
export function sweepLayers(mesh: Mesh, options: Partial<SweepOptions> = {}): LayerSweep {
  const { heightMm } = { ...SWEEP_DEFAULTS, ...options };
  const { positions, facets } = mesh;
  const plan = planLayers(mesh, heightMm);
  const areaMm2 = new Float64Array(plan.count);
  const perimeterMm = new Float64Array(plan.count);
  const { min, max } = boundsOf(positions);
  // Crosses are taken around the part's middle: a kilometre from the origin they would lose the area.
  const [centreX, centreY] = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2];
  const planeFrom = planeFinder(plan);
  for (let at = 0; at < facets.length; at += 3) {
    let [a, b, c] = [3 * facets[at], 3 * facets[at + 1], 3 * facets[at + 2]];
    // Lowest corner first, the winding kept.
    if (positions[b + 2] < positions[a + 2] && positions[b + 2] <= positions[c + 2]) [a, b, c] = [b, c, a];
    else if (positions[c + 2] < positions[a + 2]) [a, b, c] = [c, a, b];
    const [zb, zc] = [positions[b + 2], positions[c + 2]];
    const last = planeFrom(Math.max(zb, zc));
    for (let layer = planeFrom(positions[a + 2]); layer < last; layer++) {
      const z = middleOfLayer(plan, layer);
      // Going round, one edge falls through the plane and one rises: the contour runs from the one to the other.
      const [fallFrom, fallTo] = zc > z ? [c, a] : [b, c];
      const [riseFrom, riseTo] = zb > z ? [a, b] : [b, c];
      const fall = (z - positions[fallFrom + 2]) / (positions[fallTo + 2] - positions[fallFrom + 2]);
      const rise = (z - positions[riseFrom + 2]) / (positions[riseTo + 2] - positions[riseFrom + 2]);
      const px = positions[fallFrom] + fall * (positions[fallTo] - positions[fallFrom]) - centreX;
      const py = positions[fallFrom + 1] + fall * (positions[fallTo + 1] - positions[fallFrom + 1]) - centreY;
      const qx = positions[riseFrom] + rise * (positions[riseTo] - positions[riseFrom]) - centreX;
      const qy = positions[riseFrom + 1] + rise * (positions[riseTo + 1] - positions[riseFrom + 1]) - centreY;
      areaMm2[layer] += (px * qy - qx * py) / 2;
      perimeterMm[layer] += Math.hypot(qx - px, qy - py);
    }
  }
  return { ...plan, areaMm2, perimeterMm };
}

/** Where the area is largest, and where it grows most from one layer to the next: the peel and its jerk. */
interface LayerPeaks {
  readonly peak: { readonly layer: number; readonly areaMm2: number };
  readonly jump: { readonly layer: number; readonly deltaMm2: number };
  readonly firstMm2: number;
}

export function peaksOf({ areaMm2 }: Pick<LayerSweep, 'areaMm2'>): LayerPeaks {
  let [peak, jump, delta] = [0, 0, areaMm2[0]];
  for (let layer = 1; layer < areaMm2.length; layer++) {
    if (areaMm2[layer] > areaMm2[peak]) peak = layer;
    const grown = areaMm2[layer] - areaMm2[layer - 1];
    if (layer === 1 || grown > delta) [jump, delta] = [layer, grown];
  }
  const grows = areaMm2.length > 1;
  return {
    peak: { layer: peak, areaMm2: areaMm2[peak] },
    jump: { layer: jump, deltaMm2: grows ? delta : 0 },
    firstMm2: areaMm2[0],
  };
}
