import type { Mesh } from './mesh';

/** Shell of a facet without area: it belongs to no shell. */
export const NO_SHELL = 0xffffffff;

/** A shell by its lowest facet. */
interface Shell {
  volumeMm3: number;
  readonly min: [number, number, number];
  readonly max: [number, number, number];
}

export interface SortedShells {
  /** Signed volumes by the lowest facet of each shell, mm³. */
  readonly volumes: ReadonlyMap<number, number>;
  /** Shells whose inside is out. */
  readonly inverted: ReadonlySet<number>;
  /** Shells that bound a cavity of the shell around them. */
  readonly cavities: ReadonlySet<number>;
}

const emptyShell = (): Shell => ({
  volumeMm3: 0,
  min: [Infinity, Infinity, Infinity],
  max: [-Infinity, -Infinity, -Infinity],
});

function gatherShells({ positions, facets }: Mesh, shellOf: Uint32Array, volume6: Float64Array) {
  const shells = new Map<number, Shell>();
  // Facets of a shell mostly follow one another: it is looked up when it changes.
  let [name, shell]: [number, Shell | undefined] = [NO_SHELL, undefined];
  for (let facet = 0; facet < shellOf.length; facet++) {
    if (shellOf[facet] === NO_SHELL) continue;
    if (shellOf[facet] !== name || shell === undefined) {
      name = shellOf[facet];
      shell = shells.get(name) ?? emptyShell();
      shells.set(name, shell);
    }
    shell.volumeMm3 += volume6[facet] / 6;
    for (let k = 0; k < 3; k++) growBox(shell, positions, 3 * facets[3 * facet + k]);
  }
  return shells;
}

function growBox({ min, max }: Shell, positions: Float64Array, at: number): void {
  for (let axis = 0; axis < 3; axis++) {
    const value = positions[at + axis];
    if (value < min[axis]) min[axis] = value;
    if (value > max[axis]) max[axis] = value;
  }
}

/** x, y and z, mm. */
type Point = readonly number[];

/** Does a line upwards from a point cross a facet? Half-open in the plane, so that shared edges count once. */
function isBelow({ positions, facets }: Mesh, facet: number, point: Point): boolean {
  const [x, y, z] = point;
  const a = 3 * facets[3 * facet];
  const b = 3 * facets[3 * facet + 1];
  const c = 3 * facets[3 * facet + 2];
  const isInside =
    (crosses(positions, a, b, point) !== crosses(positions, b, c, point)) !== crosses(positions, c, a, point);
  if (!isInside) return false;
  const ux = positions[b] - positions[a];
  const uy = positions[b + 1] - positions[a + 1];
  const uz = positions[b + 2] - positions[a + 2];
  const vx = positions[c] - positions[a];
  const vy = positions[c + 1] - positions[a + 1];
  const vz = positions[c + 2] - positions[a + 2];
  const nz = ux * vy - uy * vx;
  const nx = uy * vz - uz * vy;
  const ny = uz * vx - ux * vz;
  return positions[a + 2] - (nx * (x - positions[a]) + ny * (y - positions[a + 1])) / nz > z;
}

/** Does an edge lie to the right of a point, seen along Y? */
function crosses(positions: Float64Array, from: number, to: number, [x, y]: Point): boolean {
  const [fromY, toY] = [positions[from + 1], positions[to + 1]];
  if (fromY > y === toY > y) return false;
  const across = positions[from] + ((y - fromY) / (toY - fromY)) * (positions[to] - positions[from]);
  return across > x;
}

/** So many facets and boxes are looked at for the nesting of shells; beyond, shells count as if side by side. */
const NESTING_BUDGET = 20_000_000;

/** Names of the shells that contain a point of this one. */
class Nesting {
  private spent = 0;
  private readonly members = new Map<number, number[]>();

  constructor(
    private readonly mesh: Mesh,
    private readonly shells: ReadonlyMap<number, Shell>,
    shellOf: Uint32Array,
  ) {
    if (shells.size < 2) return;
    shellOf.forEach((shell, facet) => {
      if (shell === NO_SHELL) return;
      const list = this.members.get(shell);
      if (list === undefined) this.members.set(shell, [facet]);
      else list.push(facet);
    });
  }

  around(name: number): number[] {
    const { positions, facets } = this.mesh;
    // A point on the shell: the middle of its first facet.
    const point = [0, 1, 2].map(
      (axis) => [0, 1, 2].reduce((sum, k) => sum + positions[3 * facets[3 * name + k] + axis], 0) / 3,
    );
    const [x, y, z] = point;
    const containing: number[] = [];
    for (const [other, { min, max }] of this.shells) {
      if (++this.spent > NESTING_BUDGET) return [];
      const isApart =
        x < min[0] || x > max[0] || y < min[1] || y > max[1] || z < min[2] || z > max[2] || other === name;
      if (isApart) continue;
      const candidates = this.members.get(other) ?? [];
      this.spent += candidates.length;
      if (this.spent > NESTING_BUDGET) return [];
      let crossings = 0;
      for (const facet of candidates) if (isBelow(this.mesh, facet, point)) crossings++;
      if (crossings % 2 === 1) containing.push(other);
    }
    return containing;
  }
}

/**
 * Sorts shells into solids, walls of cavities and those that are inside out. A shell of negative volume within an odd
 * number of others bounds a cavity, any other has its inside out; so has one within a shell that has.
 */
export function sortShells(mesh: Mesh, shellOf: Uint32Array, volume6: Float64Array): SortedShells {
  const shells = gatherShells(mesh, shellOf, volume6);
  const volumes = new Map([...shells].map(([name, { volumeMm3 }]) => [name, volumeMm3]));
  const inverted = new Set<number>();
  const cavities = new Set<number>();
  const negative = [...volumes].filter(([, volume]) => volume < 0).map(([name]) => name);
  if (negative.length === 0) return { volumes, inverted, cavities };
  const nesting = new Nesting(mesh, shells, shellOf);
  for (const name of negative) {
    if (nesting.around(name).length % 2 === 1) cavities.add(name);
    else inverted.add(name);
  }
  for (const [name, volume] of volumes) {
    if (volume < 0 || inverted.size === 0) continue;
    const around = nesting.around(name);
    if (around.length % 2 === 1 && around.every((other) => inverted.has(other))) inverted.add(name);
  }
  return { volumes, inverted, cavities };
}
