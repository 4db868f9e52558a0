/**
 * Reading a part beside a general solid kernel that builds the same solid and cuts the same layers for areas alone, in the
 * same run: first parse, weld, check and areas; then everything, with islands, cups, overhang, walls and gaps. Medians.
 * `npm run bench:mesh [-- --quick]`.
 */
import Module from 'manifold-3d';
import { checkMesh, listShells, readMesh, weldCorners, writeStl, type Mesh } from '@/core/part/mesh';
import { readLayers, sweepLayers } from '@/core/part/layers';

const kernel = await Module();
kernel.setup();

/** A sphere of 100 mm by rings and segments, about so many facets. */
function sphere(facetCount: number): Mesh {
  const rings = Math.round(Math.sqrt(facetCount) / 2);
  const segments = 2 * rings;
  const positions = [0, 0, -50];
  for (let ring = 1; ring < rings; ring++) {
    const polar = (Math.PI * ring) / rings;
    for (let s = 0; s < segments; s++) {
      const turn = (2 * Math.PI * s) / segments;
      positions.push(
        50 * Math.sin(polar) * Math.cos(turn),
        50 * Math.sin(polar) * Math.sin(turn),
        -50 * Math.cos(polar),
      );
    }
  }
  positions.push(0, 0, 50);
  const top = positions.length / 3 - 1;
  const at = (ring: number, s: number) => 1 + (ring - 1) * segments + (s % segments);
  const facets: number[] = [];
  for (let s = 0; s < segments; s++) {
    facets.push(0, at(1, s + 1), at(1, s), top, at(rings - 1, s), at(rings - 1, s + 1));
    for (let ring = 1; ring < rings - 1; ring++) {
      const [a, b, c, d] = [at(ring, s), at(ring, s + 1), at(ring + 1, s + 1), at(ring + 1, s)];
      facets.push(a, b, c, a, c, d);
    }
  }
  return { positions: Float64Array.from(positions), facets: Uint32Array.from(facets) };
}

function timed<Value>(run: () => Value): [value: Value, ms: number] {
  const start = performance.now();
  return [run(), performance.now() - start];
}

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

interface Steps {
  readonly parse: number;
  readonly weld: number;
  readonly check: number;
  readonly areas: number;
  readonly whole: number;
}

function ours(bytes: Uint8Array, heightMm: number): Steps {
  const [soup, parse] = timed(() => readMesh(bytes, 'sphere.stl'));
  if (!soup.ok) throw new Error(soup.issue.code);
  const [mesh, weld] = timed(() => weldCorners(soup.value.corners));
  const [, check] = timed(() => checkMesh(mesh));
  const [, areas] = timed(() => sweepLayers(mesh, { heightMm }));
  const [, whole] = timed(() => readLayers(mesh, { heightMm, bodyOf: listShells(mesh) }));
  return { parse, weld, check, areas, whole };
}

function kernels(mesh: Mesh, heightMm: number): number {
  return timed(() => {
    const solid = new kernel.Manifold(
      new kernel.Mesh({
        numProp: 3,
        vertProperties: Float32Array.from(mesh.positions),
        triVerts: mesh.facets,
      }),
    );
    for (let z = -50 + heightMm / 2; z < 50; z += heightMm) {
      const slice = solid.slice(z);
      slice.area();
      slice.delete();
    }
    solid.delete();
  })[1];
}

const quick = process.argv.includes('--quick');
const runs = quick ? 1 : 5;
console.log(
  '   facets layers |  parse   weld  check  areas | areas in all  ratio | everything  ratio |   kernel, ms  memory, MB',
);
for (const [facetCount, layers] of quick
  ? ([
      [100_000, 2000],
      [1_000_000, 2000],
    ] as const)
  : ([
      [10_000, 2000],
      [100_000, 2000],
      [1_000_000, 500],
      [1_000_000, 2000],
      [1_000_000, 8000],
      [3_000_000, 2000],
    ] as const)) {
  const mesh = sphere(facetCount);
  const bytes = writeStl(mesh);
  const heightMm = 100 / layers;
  const all = Array.from({ length: runs }, () => ours(bytes, heightMm));
  const memory = process.memoryUsage().rss / 1e6;
  const other = median(Array.from({ length: runs }, () => kernels(mesh, heightMm)));
  const areas = median(all.map((each) => each.parse + each.weld + each.check + each.areas));
  const everything = median(all.map((each) => each.parse + each.weld + each.check + each.whole));
  const step = (name: keyof Steps) =>
    median(all.map((each) => each[name]))
      .toFixed(0)
      .padStart(6);
  const ratio = (ms: number) => `${ms.toFixed(0).padStart(10)} ${(ms / other).toFixed(2).padStart(6)}`;
  console.log(
    `${String(mesh.facets.length / 3).padStart(9)} ${String(layers).padStart(6)} | ${step('parse')} ${step('weld')} ${step('check')} ${step('areas')} | ${ratio(areas)}   | ${ratio(everything)}  | ${other.toFixed(0).padStart(10)} ${memory.toFixed(0).padStart(10)}`,
  );
}
