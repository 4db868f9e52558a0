export { checkMesh, listShells, type MeshCheck } from './check';
export { chamferFoot, type ChamferedMesh } from './chamfer';
export { correctMesh, type PartCorrection } from './correct';
export { DisjointSets } from './disjoint-sets';
export {
  distanceToFeature,
  type FeatureSort,
  findFeatures,
  type FoundFeature,
  MOST_FEATURE_FACETS,
} from './features';
export { measureFeature, type MeasureIssue } from './measure';
export { type Repair, repairMesh, type RepairOptions } from './repair';
export { type Bounds, boundsOf, facetVector, type Mesh, type Point } from './mesh';
export {
  type AnchoredFeature,
  correctAndMeasure,
  correctAndProve,
  type CorrectedSize,
  type CorrectionWanted,
  type MeasuredCorrection,
  type ProvenSize,
} from './re-measure';
export { type MeshIssue, readMesh } from './read-mesh';
export { LARGEST_FILE_BYTES, type Progress, readStl } from './read-stl';
export { crossLine, joinContours, sectionAt } from './section';
export { guessUnits, MESH_UNITS, type MeshUnit, MM_IN } from './units';
export { weldCorners } from './weld';
export { write3mf } from './write-3mf';
export { writeStl } from './write-stl';
export { type Silhouette, silhouetteOf, type View, VIEWS } from './silhouette';
