import { boundsOf, type Bounds, type Mesh } from '@/core/part/mesh';

/** Beyond so many layers a height is a slip of the pen: a metre in hundredths of a millimetre. */
export const MOST_LAYERS = 100_000;

/** Where the layers of a part lie: layer i is cut at its middle, from the lowest point of the part. */
export interface LayerPlan {
  readonly count: number;
  readonly heightMm: number;
  /** Bottom of the lowest layer. */
  readonly fromMm: number;
}

/** Height of the middle of a layer, mm. */
export function middleOfLayer({ fromMm, heightMm }: LayerPlan, layer: number): number {
  return fromMm + (layer + 0.5) * heightMm;
}

/** How many layers a part of this height has. */
export function countLayers({ min, max }: Bounds, heightMm: number): number {
  return Math.max(1, Math.ceil((max[2] - min[2]) / heightMm - 1e-9));
}

/** Throws RangeError unless the height is positive, the mesh has facets and the layers can be counted. */
export function planLayers({ positions, facets }: Mesh, heightMm: number): LayerPlan {
  if (!(heightMm > 0)) throw new RangeError('planLayers: the layer height must be positive');
  if (facets.length === 0) throw new RangeError('planLayers: a mesh with facets is needed');
  const bounds = boundsOf(positions);
  const count = countLayers(bounds, heightMm);
  if (count > MOST_LAYERS) throw new RangeError(`planLayers: more than ${MOST_LAYERS} layers`);
  return { count, heightMm, fromMm: bounds.min[2] };
}

/** The first plane at a height or above it, and `count` where none is: a corner in a plane lies below it. */
export function planeFinder(plan: LayerPlan): (zMm: number) => number {
  const { count, fromMm, heightMm } = plan;
  const planes = Float64Array.from({ length: count }, (_, layer) => middleOfLayer(plan, layer));
  return (z) => {
    let layer = Math.max(0, Math.min(count, Math.ceil((z - fromMm) / heightMm - 0.5)));
    while (layer > 0 && planes[layer - 1] >= z) layer--;
    while (layer < count && planes[layer] < z) layer++;
    return layer;
  };
}
