import type { MeasureIssue, MeshCheck, StlIssue } from '@/core/mesh';

const megabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;

export function describeStlIssue(issue: StlIssue): string {
  switch (issue.code) {
    case 'emptyFile':
      return 'The file is empty. Export the part again.';
    case 'tooLarge':
      return `The file has ${megabytes(issue.bytes)}; up to ${megabytes(issue.limitBytes)} are read. Export it with a coarser mesh, or as binary STL.`;
    case 'notStl':
      return 'This is not an STL: neither its binary form nor text that begins with “solid”. Export the part as STL.';
    case 'cutShort':
      return `The file is cut short: it announces ${issue.claimed} facets and holds ${issue.whole} whole ones. Copy or export it again.`;
    case 'noFacets':
      return 'The file holds no facets. Check that the body was selected when it was exported.';
    case 'notFinite':
      return `Facet ${issue.facet} has a coordinate that is no number. Repair the mesh in the modeller and export it again.`;
    case 'badVertex':
      return `Line ${issue.line}: a vertex needs three numbers. The file may be damaged; export it again.`;
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
