export { checkMesh, listShells, type MeshCheck } from './check';
export {
  CORRECT_DEFAULTS,
  correctMesh,
  drawnFor,
  type CorrectedMesh,
  type CorrectOptions,
  type PartCorrection,
} from './correct';
export { measureFeature, type MeasureIssue } from './measure';
export {
  boundsOf,
  facetVector,
  MESH_FORMATS,
  vertexAt,
  type Bounds,
  type FacetSoup,
  type Mesh,
  type MeshFormat,
  type Point,
} from './mesh';
export {
  distanceToFeature,
  findFeatures,
  MOST_FEATURE_FACETS,
  type FeatureSort,
  type FoundFeature,
} from './features';
export { MOST_FACETS } from './facet-list';
export { LARGEST_MODEL_BYTES } from './read-3mf';
export { readMesh, type MeshIssue } from './read-mesh';
export { LARGEST_FILE_BYTES, readStl, type Progress, type StlIssue } from './read-stl';
export { crossLine, joinContours, sectionAt, type Contour, type Crossing } from './section';
export { guessUnits, MESH_UNITS, MM_IN, type MeshUnit } from './units';
export { weldCorners, type WeldOptions } from './weld';
export { MEND_DEFAULTS, mendMesh, type Mend, type MendOptions } from './mend';
export { write3mf } from './write-3mf';
export { writeStl } from './write-stl';
export {
  correctAndMeasure,
  correctAndProve,
  type AnchoredFeature,
  type CorrectedSize,
  type MeasuredCorrection,
  type ProvenCorrection,
  type ProvenSize,
} from './re-measure';
