import { quoted } from '@/subjects/language/shared';
import type { MeasureIssue, MeshCheck, MeshIssue, MeshUnit } from '@/core/mesh';

const megabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;

/** What keeps a part's file from being read, in any of its formats. */
export function describeMeshIssue(issue: MeshIssue): string {
  switch (issue.code) {
    case 'emptyFile':
      return 'The file is empty. Export the part again.';
    case 'tooLarge':
      return `The file has ${megabytes(issue.bytes)}; up to ${megabytes(issue.limitBytes)} are read. Export it with a coarser mesh, or as binary STL.`;
    case 'notStl':
      return 'This is none of STL, OBJ, PLY and 3MF as far as its bytes tell. Export the part as one of them.';
    case 'cutShort':
      return `The file is cut short: it announces ${issue.claimed} facets, or rows of them, and holds ${issue.whole} whole ones. Copy or export it again.`;
    case 'noFacets':
      return 'The file holds no facets. Check that the body was selected when it was exported.';
    case 'notFinite':
      return `Facet ${issue.facet} has a coordinate that is no number. Repair the mesh in the modeller and export it again.`;
    case 'badVertex':
      return `Line ${issue.line}: a vertex needs three numbers. The file may be damaged; export it again.`;
    case 'badFace':
      return `Line ${issue.line}: a face needs at least three corners by number, found “${quoted(issue.text)}”. The file may be damaged; export it again.`;
    case 'indexOutOfRange':
      return `Facet ${issue.facet} asks for vertex ${issue.index + 1} of ${issue.vertices}. The file may be damaged; export it again.`;
    case 'manyCorners':
      return `Face ${issue.facet} has ${issue.corners} corners; up to ${issue.limit} are read. Export the part with faces cut into triangles.`;
    case 'farOut':
      return `Facet ${issue.facet} lies more than ${issue.limitMm / 1000} m away. Check the unit and the place of the part in the modeller, then export it again.`;
    case 'tooManyFacets':
      return `The file asks for more than ${issue.limit} facets or placements. Export it with a coarser mesh.`;
    case 'badHeader':
      return `The header of the PLY cannot be followed at “${quoted(issue.line)}”. Export the part again, as STL if need be.`;
    case 'notPackage':
      return 'This is no 3MF package, or a damaged one. Export the part again.';
    case 'packageTooLarge':
      return `The package would grow to ${megabytes(issue.bytes)} when unpacked; up to ${megabytes(issue.limitBytes)} are. Export it with a coarser mesh.`;
    case 'pathOutside':
      return `The package points outside of itself, to “${quoted(issue.path)}”. It is not opened; export the part again.`;
    case 'noModel':
      return 'The package holds no model. Export the part as 3MF again.';
    case 'badXml':
      return `The model in the package is no sound XML (${issue.detail.split('\n')[0].slice(0, 120)}). Export the part again.`;
    case 'entities':
      return 'The model in the package defines entities of its own, which no 3MF does. It is not opened; export the part again.';
    case 'unknownUnit':
      return `The model is in “${quoted(issue.unit)}”, a unit that 3MF does not know. Export it in millimetres.`;
    case 'badAttribute':
      return `A ${quoted(issue.element)} in the model has no sound “${quoted(issue.attribute)}”. Export the part again.`;
    case 'objectMissing':
      return `The model builds object ${issue.id}, which it does not hold. Export the part again.`;
    case 'cyclicComponent':
      return `Object ${issue.id} of the model is a part of itself. Repair it in the modeller and export it again.`;
    case 'looseCorners':
      return `The file has ${issue.corners} corners, which is not three a facet. It may be damaged; export it again.`;
  }
}

export function describeMeasureIssue(issue: MeasureIssue): string {
  switch (issue.code) {
    case 'nothingThere':
      return `No face of that kind within 1 mm of ${issue.anchorMm.map((value) => value.toFixed(2)).join(', ')}. Place the feature on the part again.`;
    case 'pitchNeedsTwoPlaces':
      return 'A pitch cannot be found again from one place; type its drawn size.';
  }
}

const plural = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

/** What is wrong with a mesh as a solid, worst first; empty when nothing is. */
export function describeMeshFaults(check: MeshCheck): string[] {
  const faults: string[] = [];
  if (check.boundaryEdges > 0)
    faults.push(`open: ${plural(check.boundaryEdges, 'edge has', 'edges have')} one facet only`);
  if (check.nonManifoldEdges > 0)
    faults.push(`${plural(check.nonManifoldEdges, 'edge has', 'edges have')} more than two facets`);
  if (check.misorientedEdges > 0)
    faults.push(
      `${plural(check.misorientedEdges, 'edge lies', 'edges lie')} between facets wound against each other`,
    );
  if (check.invertedShells > 0)
    faults.push(`${plural(check.invertedShells, 'shell is', 'shells are')} inside out`);
  if (check.duplicateFacets > 0)
    faults.push(`${plural(check.duplicateFacets, 'facet stands', 'facets stand')} twice`);
  if (check.degenerateFacets > 0)
    faults.push(`${plural(check.degenerateFacets, 'facet has', 'facets have')} no area`);
  return faults;
}

/** Units that a file may have been drawn in, as they are said. */
export const UNIT_WORDS: Readonly<Record<MeshUnit, string>> = {
  mm: 'millimetres',
  cm: 'centimetres',
  inch: 'inches',
  m: 'metres',
};
