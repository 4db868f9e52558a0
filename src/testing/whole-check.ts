import { limitsOf, listFindings, readingFor, type Finding } from '@/core/part/findings';
import { readLayers, type LayerReading } from '@/core/part/layers';
import {
  boundsOf,
  checkMesh,
  findFeatures,
  listShells,
  repairMesh,
  type FoundFeature,
  type Repair,
  type Mesh,
} from '@/core/part/mesh';

interface WholeCheck {
  readonly reading: LayerReading;
  readonly findings: readonly Finding[];
  readonly features: readonly FoundFeature[];
  readonly mend?: Repair;
}

/** Everything that Check does with a part, on layers and rows that suit its size. */
export function wholeCheck(mesh: Mesh): WholeCheck {
  const { min, max } = boundsOf(mesh.positions);
  const extent = Math.max(1e-3, ...[0, 1, 2].map((axis) => max[axis] - min[axis]));
  const limits = limitsOf({ pixelMm: extent / 60, layerMm: extent / 40, rooms: {}, jointGapsMm: [] });
  const stance = { kind: 'plate' } as const;
  const reading = readLayers(mesh, { ...readingFor(limits, stance), bodyOf: listShells(mesh) });
  return {
    reading,
    findings: listFindings(checkMesh(mesh), reading, limits, stance),
    features: findFeatures(mesh),
    mend: repairMesh(mesh),
  };
}
