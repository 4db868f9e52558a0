import { quoted } from '@/core/kit/wording';
import type { MeasureIssue, MeshCheck, MeshIssue, MeshUnit } from '@/core/part/mesh';

const megabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;

/** What keeps a part's file from being read, in any of its formats. */
export function describeMeshIssue(issue: MeshIssue): string {
  switch (issue.code) {
    case 'emptyFile':
      return 'the file is empty. Export the part again.';
    case 'tooLarge':
      return `the file has ${megabytes(issue.bytes)}; the limit is ${megabytes(issue.limitBytes)}. Export it with a coarser mesh, or as binary STL.`;
    case 'notStl':
      return 'this file is not STL, OBJ, PLY or 3MF. Export the part in one of these formats.';
    case 'cutShort':
      return `the file is incomplete: it announces ${issue.claimed} facets or rows and has ${issue.whole} complete ones. Copy or export it again.`;
    case 'noFacets':
      return 'the file holds no facets. Check that the body was selected when it was exported.';
    case 'notFinite':
      return `facet ${issue.facet} has an invalid coordinate. Repair the mesh in your CAD program and export it again.`;
    case 'badVertex':
      return `line ${issue.line}: a vertex needs three numbers. The file may be damaged; export it again.`;
    case 'badFace':
      return `line ${issue.line}: a face needs at least three vertex numbers, but has “${quoted(issue.text)}”. The file may be damaged. Export it again.`;
    case 'indexOutOfRange':
      return `facet ${issue.facet} refers to vertex ${issue.index + 1}, but the file has ${issue.vertices}. The file may be damaged. Export it again.`;
    case 'manyCorners':
      return `face ${issue.facet} has ${issue.corners} corners; up to ${issue.limit} are read. Export the part with faces cut into triangles.`;
    case 'farOut':
      return `facet ${issue.facet} lies more than ${issue.limitMm / 1000} m away. Check the unit and the place of the part in the modeller, then export it again.`;
    case 'tooManyFacets':
      return `the file has more than ${issue.limit} facets or placements. Export it with a coarser mesh.`;
    case 'badHeader':
      return `the PLY header is invalid at “${quoted(issue.line)}”. Export the part again, or export it as STL.`;
    case 'notPackage':
      return 'this is not a valid 3MF package. Export the part again.';
    case 'packageTooLarge':
      return `the unpacked package would have ${megabytes(issue.bytes)}; the limit is ${megabytes(issue.limitBytes)}. Export it with a coarser mesh.`;
    case 'pathOutside':
      return `the package refers to a file outside the package, “${quoted(issue.path)}”, so it is not opened. Export the part again.`;
    case 'noModel':
      return 'the package contains no model. Export the part as 3MF again.';
    case 'badXml':
      return `the model in the package is not valid XML (${issue.detail.split('\n')[0].slice(0, 120)}). Export the part again.`;
    case 'entities':
      return 'the model in the package defines its own entities, which 3MF does not allow, so it is not opened. Export the part again.';
    case 'unknownUnit':
      return `the model uses “${quoted(issue.unit)}”, which is not a 3MF unit. Export it in millimetres.`;
    case 'badAttribute':
      return `a ${quoted(issue.element)} in the model has an invalid “${quoted(issue.attribute)}”. Export the part again.`;
    case 'objectMissing':
      return `the model uses object ${issue.id}, which it does not contain. Export the part again.`;
    case 'cyclicComponent':
      return `object ${issue.id} of the model contains itself. Repair it in your CAD program and export it again.`;
    case 'looseCorners':
      return `the file has ${issue.corners} corners, which is not a multiple of three. It may be damaged. Export it again.`;
  }
}

export function describeMeasureIssue(issue: MeasureIssue): string {
  switch (issue.code) {
    case 'nothingThere':
      return `no face of that kind within 1 mm of ${issue.anchorMm.map((value) => value.toFixed(2)).join(', ')}. Place the feature on the part again.`;
    case 'pitchNeedsTwoPlaces':
      return 'a pitch cannot be found from one point. Type its drawn size.';
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
      `${plural(check.misorientedEdges, 'edge lies', 'edges lie')} between facets with opposite winding`,
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
