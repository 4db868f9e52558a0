import { describe, expect, test } from '@jest/globals';
import type { Manifold } from 'manifold-3d';
import { joinContours, sectionAt, type Mesh } from '@/core/part/mesh';
import { seededRandom } from '@/core/kit/numerics';
import { loadTestKernel } from '@/testing/kernel';
import { seatedMesh } from '@/testing/printed-solids';
import { middleOfLayer } from '../layer-plan';
import { readLayers } from '../read-layers';

const kernel = await loadTestKernel();
const { Manifold: Solids } = kernel;
const STEP = 0.4;
/** Cells of air around the part, so that outside is one region. */
const MARGIN = 2;

/** Blocks on a grid of cells, joined and cut: every face lies between two voxels, so that both ways see the same part. */
function blocks(seed: number): Manifold {
  const random = seededRandom(seed);
  const pick = (low: number, high: number) => low + Math.floor((high - low + 1) * random.uniform());
  const block = (least: number, most: number) =>
    Solids.cube([STEP * pick(least, most), STEP * pick(least, most), STEP * pick(least, most)]).translate([
      STEP * pick(0, 14),
      STEP * pick(0, 14),
      STEP * pick(0, 12),
    ]);
  const sum = (count: number, least: number, most: number) =>
    Array.from({ length: count }, () => block(least, most)).reduce((all, each) => all.add(each));
  // Half of them blocks beside and over one another, half a body with chambers in it.
  return seed % 2 === 0
    ? sum(9, 3, 10).subtract(sum(6, 3, 9))
    : sum(2, 9, 12)
        .add(Solids.cube([STEP * 16, STEP * 16, STEP * 12]).translate([STEP, STEP, 0]))
        .subtract(sum(14, 2, 5));
}

/** The plain way: a cell is solid where its middle lies within the section of its layer. */
class Voxels {
  readonly nx: number;
  readonly ny: number;
  readonly nz: number;
  private readonly solid: Uint8Array;

  constructor(mesh: Mesh, count: number) {
    [this.nx, this.ny, this.nz] = [26 + 2 * MARGIN, 26 + 2 * MARGIN, count];
    this.solid = new Uint8Array(this.nx * this.ny * this.nz);
    const low = [0, 1].map((axis) =>
      mesh.positions.reduce((least, value, i) => (i % 3 === axis ? Math.min(least, value) : least), Infinity),
    );
    const plan = { count, heightMm: STEP, fromMm: 0 };
    for (let z = 0; z < count; z++) {
      const contours = joinContours(sectionAt(mesh, middleOfLayer(plan, z)));
      for (let y = 0; y < this.ny; y++) {
        for (let x = 0; x < this.nx; x++) {
          const [px, py] = [low[0] + (x - MARGIN + 0.5) * STEP, low[1] + (y - MARGIN + 0.5) * STEP];
          const within = contours.filter(({ points }) => isWithin(points, px, py)).length;
          this.solid[this.at(x, y, z)] = within % 2;
        }
      }
    }
  }

  at(x: number, y: number, z: number): number {
    return (z * this.ny + y) * this.nx + x;
  }

  isSolid(x: number, y: number, z: number): boolean {
    return this.solid[this.at(x, y, z)] === 1;
  }

  /** Cells of a layer that hang together edge to edge, as lists. */
  regionsOf(z: number): [number, number][][] {
    const seen = new Set<number>();
    const take = (x: number, y: number): [number, number][] => {
      if (!this.isSolid(x, y, z) || seen.has(y * this.nx + x)) return [];
      seen.add(y * this.nx + x);
      return [[x, y]];
    };
    const regions: [number, number][][] = [];
    for (let cell = 0; cell < this.nx * this.ny; cell++) {
      const region = take(cell % this.nx, Math.floor(cell / this.nx));
      for (const [x, y] of region) region.push(...around(x, y).flatMap(([nx, ny]) => take(nx, ny)));
      if (region.length > 0) regions.push(region);
    }
    return regions;
  }

  /** Cells of air of the layer being made that no way through the layers so far leads to; `floor`: below it is air too. */
  closedOff(upTo: number, floor: boolean): number {
    const reached = new Uint8Array(this.solid.length);
    const queue: [number, number, number][] = [];
    const reach = (x: number, y: number, z: number) => {
      if (x < 0 || y < 0 || z < 0 || x >= this.nx || y >= this.ny || z > upTo) return;
      const at = this.at(x, y, z);
      if (this.solid[at] === 1 || reached[at] === 1) return;
      reached[at] = 1;
      queue.push([x, y, z]);
    };
    for (let z = 0; z <= upTo; z++) reach(0, 0, z);
    if (floor) for (let y = 0; y < this.ny; y++) for (let x = 0; x < this.nx; x++) reach(x, y, 0);
    for (let next = queue.pop(); next !== undefined; next = queue.pop()) {
      const [x, y, z] = next;
      for (const [nx, ny] of around(x, y)) reach(nx, ny, z);
      reach(x, y, z - 1);
      reach(x, y, z + 1);
    }
    let closed = 0;
    // Only the layer that is being made: what it closes off sucks on the film.
    for (let y = 0; y < this.ny; y++) {
      for (let x = 0; x < this.nx; x++) {
        const at = this.at(x, y, upTo);
        if (this.solid[at] === 0 && reached[at] === 0) closed++;
      }
    }
    return closed;
  }
}

const around = (x: number, y: number): [number, number][] => [
  [x - 1, y],
  [x + 1, y],
  [x, y - 1],
  [x, y + 1],
];

function isWithin(points: Float64Array, x: number, y: number): boolean {
  let inside = false;
  for (let i = 0; i < points.length; i += 2) {
    const j = (i + 2) % points.length;
    if (points[i + 1] > y === points[j + 1] > y) continue;
    const across =
      points[i] + ((y - points[i + 1]) / (points[j + 1] - points[i + 1])) * (points[j] - points[i]);
    if (across > x) inside = !inside;
  }
  return inside;
}

const SEEDS = [1, 2, 3, 5, 8, 13, 21, 34];
const seen: number[] = [];

describe.each(SEEDS)('random blocks (%i) against flooded cells', (seed) => {
  const mesh = seatedMesh(blocks(seed));
  const reading = (onSupports: boolean) =>
    readLayers(mesh, { heightMm: STEP, pixelMm: STEP / 4, onSupports });
  const flat = reading(false);
  const voxels = new Voxels(mesh, flat.count);

  test('each layer has the area of its cells', () => {
    for (let z = 0; z < flat.count; z++) {
      const cells = voxels.regionsOf(z).reduce((sum, region) => sum + region.length, 0);
      expect(flat.areaMm2[z]).toBeCloseTo(cells * STEP * STEP, 4);
    }
  });
  test('the same regions begin in the air', () => {
    const expected: [layer: number, areaMm2: number][] = [];
    for (let z = 1; z < flat.count; z++) {
      for (const region of voxels.regionsOf(z)) {
        if (!region.some(([x, y]) => voxels.isSolid(x, y, z - 1)))
          expected.push([z, region.length * STEP * STEP]);
      }
    }
    expected.sort(([a, ofA], [b, ofB]) => a - b || ofA - ofB);
    const found = [...flat.islands].sort((a, b) => a.layer - b.layer || a.areaMm2 - b.areaMm2);
    expect(found.map(({ layer }) => layer)).toEqual(expected.map(([layer]) => layer));
    // Rows sample across: one more or one less may fall on a region.
    found.forEach(({ areaMm2 }, i) => expect(Math.abs(areaMm2 / expected[i][1] - 1)).toBeLessThan(0.1));
  });
  test.each([false, true])('the same air is closed off in every layer (on supports: %s)', (onSupports) => {
    const { cups, voids } = reading(onSupports);
    const closed = [...cups, ...voids].reduce((sum, { volumeMm3 }) => sum + volumeMm3, 0);
    // A hollow counts in the layers in which it is closed: the sum over all of what each closes off.
    let cells = 0;
    for (let z = 0; z < flat.count; z++) cells += voxels.closedOff(z, onSupports);
    seen.push(cells);
    if (cells === 0) expect(closed).toBe(0);
    else expect(closed / (cells * STEP ** 3)).toBeCloseTo(1, 1);
  });
});

test('of these parts at least half did close something off, both ways of standing counted', () => {
  expect(seen.filter((cells) => cells > 0).length).toBeGreaterThanOrEqual(SEEDS.length);
});
