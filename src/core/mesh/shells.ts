import type { Mesh } from './mesh';

/** What a facet without area says of its shell: it belongs to none. */
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

/** Does a line upwards from a point cross a facet? Half-open in the plane, so that shared edges count once. */
function isBelow({ positions, facets }: Mesh, facet: number, [x, y, z]: readonly number[]): boolean {
  let height = 0;
  let inside = false;
  const corners = [0, 1, 2].map((k) => 3 * facets[3 * facet + k]);
  for (let k = 0; k < 3; k++) {
    const [a, b] = [corners[k], corners[(k + 1) % 3]];
    const [ay, by] = [positions[a + 1], positions[b + 1]];
    if (ay > y === by > y) continue;
    const across = positions[a] + ((y - ay) / (by - ay)) * (positions[b] - positions[a]);
    if (across > x) inside = !inside;
  }
  if (!inside) return false;
  const [a, b, c] = corners;
  const [ux, uy, uz] = [0, 1, 2].map((axis) => positions[b + axis] - positions[a + axis]);
  const [vx, vy, vz] = [0, 1, 2].map((axis) => positions[c + axis] - positions[a + axis]);
  const nz = ux * vy - uy * vx;
  height =
    positions[a + 2] -
    ((uy * vz - uz * vy) * (x - positions[a]) + (uz * vx - ux * vz) * (y - positions[a + 1])) / nz;
  return height > z;
}

/** So many facets are looked at for the nesting of shells; beyond, shells count as if side by side. */
const NESTING_BUDGET = 50_000_000;

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
    const containing: number[] = [];
    for (const [other, { min, max }] of this.shells) {
      if (other === name || point.some((value, axis) => value < min[axis] || value > max[axis])) continue;
      const candidates = this.members.get(other) ?? [];
      this.spent += candidates.length;
      if (this.spent > NESTING_BUDGET) return [];
      const crossings = candidates.filter((facet) => isBelow(this.mesh, facet, point)).length;
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
