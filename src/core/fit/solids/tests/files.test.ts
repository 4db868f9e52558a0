import { expect, test } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import { write3mf } from '@/core/part/mesh';
import { loadTestKernel } from '@/testing/kernel';
import { buildSolid, profileOf, profileToDxf, profileToSvg, ringOf, type PlateRecipe } from '../index';

const RING = ringOf(1, 2, 3);
const drawn = (id: number) => ({ 1: 15.88, 2: 9.56, 3: 6.2 })[id]!;
const PLATE: PlateRecipe = {
  kind: 'plate',
  length: { mm: 40 },
  width: { mm: 20 },
  thickness: { mm: 3 },
  holes: [
    { diameter: { mm: 4.1 }, x: { mm: 10 }, y: { mm: 10 } },
    { diameter: { mm: 3.2 }, x: { mm: 20 }, y: { mm: 0 } },
  ],
};

test('a 3MF package holds its three parts, the unit, and every vertex and facet of the mesh', async () => {
  const mesh = buildSolid(await loadTestKernel(), RING, drawn);
  const parts = unzipSync(write3mf(mesh));
  expect(Object.keys(parts).sort()).toEqual(['3D/3dmodel.model', '[Content_Types].xml', '_rels/.rels']);
  const model = strFromU8(parts['3D/3dmodel.model']);
  expect(model).toContain('unit="millimeter"');
  expect(model.match(/<vertex /g)).toHaveLength(mesh.positions.length / 3);
  expect(model.match(/<triangle /g)).toHaveLength(mesh.facets.length / 3);
  expect(write3mf(mesh)).toEqual(write3mf(mesh));
});

test('the profile of a ring is its section on both sides of the axis, at its drawn sizes', () => {
  const { loops, view } = profileOf(RING, drawn);
  expect(view).toBe('section');
  const xs = loops.flat().map(([x]) => x);
  expect(Math.max(...xs)).toBeCloseTo(7.94, 9);
  expect(Math.min(...xs)).toBeCloseTo(-7.94, 9);
  expect(Math.min(...xs.filter((x) => x > 0))).toBeCloseTo(4.78, 9);
});

test('DXF and SVG carry the holes of a plate at their centres and radii, in millimetres', () => {
  const profile = profileOf(PLATE, drawn);
  const dxf = profileToDxf(profile);
  // $INSUNITS 4 is millimetres; group codes 10, 20, 40 are centre and radius.
  expect(dxf).toMatch(/\$INSUNITS\s+70\s+4\b/);
  expect(dxf).toMatch(/CIRCLE[\s\S]*?\n10\n-10\n20\n0\n[\s\S]*?40\n2\.05\n/);
  expect(dxf).toMatch(/CIRCLE[\s\S]*?\n10\n10\n20\n0\n[\s\S]*?40\n1\.6\n/);
  expect(dxf.match(/LWPOLYLINE/g)).toHaveLength(1);
  const svg = profileToSvg(profile);
  expect(svg).toContain('width="44mm"');
  expect(svg).toContain('<circle cx="10" cy="0" r="1.6"/>');
});
