import { MeshoptSimplifier } from 'meshoptimizer';
import type { Mesh } from '@/core/part/mesh';

/** Parts of more facets are drawn by a coarser proxy of so many; everything is still computed on the part itself. */
const MOST_DRAWN_FACETS = 300_000;
const PROXY_FACETS = 100_000;

/** Corners to draw: those of the part, or of a proxy with how many facets it has. */
export async function drawnProxy(
  { positions, facets }: Mesh,
  corners: Float32Array,
): Promise<{ readonly corners: Float32Array<ArrayBuffer>; readonly proxyFacets?: number }> {
  if (facets.length / 3 <= MOST_DRAWN_FACETS) return { corners: corners as Float32Array<ArrayBuffer> };
  await MeshoptSimplifier.ready;
  const [kept] = MeshoptSimplifier.simplifySloppy(
    facets,
    Float32Array.from(positions),
    3,
    null,
    3 * PROXY_FACETS,
    1,
  );
  const drawn = new Float32Array(3 * kept.length);
  for (let i = 0; i < kept.length; i++)
    for (let axis = 0; axis < 3; axis++) drawn[3 * i + axis] = positions[3 * kept[i] + axis];
  return { corners: drawn, proxyFacets: kept.length / 3 };
}
