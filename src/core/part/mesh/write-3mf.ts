import { strToU8, zipSync } from 'fflate';
import type { Mesh } from './mesh';

const CONTENT_TYPES =
  '<?xml version="1.0" encoding="UTF-8"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>';
const RELATIONSHIPS =
  '<?xml version="1.0" encoding="UTF-8"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>';

/** Ten-thousandths of a micrometre are written: nothing is lost that a machine could print. */
function coordinate(mm: number): string {
  return String(Number(mm.toFixed(7)));
}

/**
 * One mesh as a 3MF package, millimetres, shared vertices. Source: 3MF Core Specification 1.3, §2 (package), §3–4 (model).
 * Deterministic: equal meshes give equal bytes.
 */
export function write3mf(mesh: Mesh): Uint8Array<ArrayBuffer> {
  const { positions, facets } = mesh;
  const lines = [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<model unit="millimeter" xml:lang="en" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources><object id="1" type="model"><mesh><vertices>',
  ];
  for (let i = 0; i < positions.length; i += 3) {
    const [x, y, z] = [positions[i], positions[i + 1], positions[i + 2]].map(coordinate);
    lines.push(`<vertex x="${x}" y="${y}" z="${z}"/>`);
  }
  lines.push('</vertices><triangles>');
  for (let i = 0; i < facets.length; i += 3)
    lines.push(`<triangle v1="${facets[i]}" v2="${facets[i + 1]}" v3="${facets[i + 2]}"/>`);
  lines.push('</triangles></mesh></object></resources><build><item objectid="1"/></build></model>');
  const zipped = zipSync(
    {
      '[Content_Types].xml': strToU8(CONTENT_TYPES),
      '_rels/.rels': strToU8(RELATIONSHIPS),
      '3D/3dmodel.model': strToU8(lines.join('\n')),
    },
    { mtime: '2000-01-01T00:00:00' },
  );
  return Uint8Array.from(zipped);
}
