import type { Mesh, Point } from './mesh';

/** Crossings of a straight line with the surface, ascending along it. */
interface Crossing {
  /** Distance along the line from its origin, mm (the direction has length one). */
  readonly atMm: number;
  /** true where the line goes into the material. */
  readonly entering: boolean;
}

/** Line–facet intersections after T. Möller and B. Trumbore, J. Graphics Tools 2 (1997) 21; touching crossings merged. */
export function crossLine(mesh: Mesh, origin: Point, direction: Point): Crossing[] {
  const { positions, facets } = mesh;
  const found: Crossing[] = [];
  for (let i = 0; i < facets.length; i += 3) {
    const a = 3 * facets[i];
    const b = 3 * facets[i + 1];
    const c = 3 * facets[i + 2];
    const e1 = [
      positions[b] - positions[a],
      positions[b + 1] - positions[a + 1],
      positions[b + 2] - positions[a + 2],
    ];
    const e2 = [
      positions[c] - positions[a],
      positions[c + 1] - positions[a + 1],
      positions[c + 2] - positions[a + 2],
    ];
    const px = direction[1] * e2[2] - direction[2] * e2[1];
    const py = direction[2] * e2[0] - direction[0] * e2[2];
    const pz = direction[0] * e2[1] - direction[1] * e2[0];
    const determinant = e1[0] * px + e1[1] * py + e1[2] * pz;
    if (Math.abs(determinant) < 1e-14) continue;
    const sx = origin[0] - positions[a];
    const sy = origin[1] - positions[a + 1];
    const sz = origin[2] - positions[a + 2];
    const u = (sx * px + sy * py + sz * pz) / determinant;
    if (u < -1e-9 || u > 1 + 1e-9) continue;
    const qx = sy * e1[2] - sz * e1[1];
    const qy = sz * e1[0] - sx * e1[2];
    const qz = sx * e1[1] - sy * e1[0];
    const v = (direction[0] * qx + direction[1] * qy + direction[2] * qz) / determinant;
    if (v < -1e-9 || u + v > 1 + 1e-9) continue;
    found.push({ atMm: (e2[0] * qx + e2[1] * qy + e2[2] * qz) / determinant, entering: determinant > 0 });
  }
  found.sort((x, y) => x.atMm - y.atMm);
  return found.filter((crossing, i) => {
    const before = found[i - 1];
    return (
      before === undefined || before.entering !== crossing.entering || crossing.atMm - before.atMm > 1e-7
    );
  });
}

/** Straight pieces in which the plane z = `zMm` cuts the mesh: x0, y0, x1, y1 each, material on the left. */
export function sectionAt(mesh: Mesh, zMm: number): Float64Array {
  const { positions, facets } = mesh;
  const pieces: number[] = [];
  for (let i = 0; i < facets.length; i += 3) {
    let entering: [number, number] | undefined;
    let leaving: [number, number] | undefined;
    for (let k = 0; k < 3; k++) {
      const p = 3 * facets[i + k];
      const q = 3 * facets[i + ((k + 1) % 3)];
      const below = positions[p + 2] < zMm;
      if (below === positions[q + 2] < zMm) continue;
      const share = (zMm - positions[p + 2]) / (positions[q + 2] - positions[p + 2]);
      const point: [number, number] = [
        positions[p] + share * (positions[q] - positions[p]),
        positions[p + 1] + share * (positions[q + 1] - positions[p + 1]),
      ];
      if (below) entering = point;
      else leaving = point;
    }
    // Counter-clockwise facets seen from outside: the cut runs from the falling edge to the rising one.
    if (entering !== undefined && leaving !== undefined) pieces.push(...leaving, ...entering);
  }
  return Float64Array.from(pieces);
}

/** A closed loop of a section: x, y a point, material on the left; negative area around air. */
export interface Contour {
  readonly points: Float64Array;
  readonly areaMm2: number;
}

/** Joins the pieces of a section end to end; ends are matched to a nanometre, loops that do not close are left out. */
export function joinContours(pieces: Float64Array): Contour[] {
  const keyOf = (x: number, y: number) => `${Math.round(x * 1e6)},${Math.round(y * 1e6)}`;
  // Those met last come first, so that a used one is taken off the end: thousands may start at the tip of a fan.
  const startingAt = new Map<string, number[]>();
  for (let i = pieces.length - 4; i >= 0; i -= 4) {
    const key = keyOf(pieces[i], pieces[i + 1]);
    const known = startingAt.get(key);
    if (known === undefined) startingAt.set(key, [i]);
    else known.push(i);
  }
  const used = new Set<number>();
  const nextFrom = (key: string): number | undefined => {
    const waiting = startingAt.get(key);
    while (waiting !== undefined && waiting.length > 0 && used.has(waiting[waiting.length - 1]))
      waiting.pop();
    return waiting?.[waiting.length - 1];
  };
  const contours: Contour[] = [];
  for (let first = 0; first < pieces.length; first += 4) {
    if (used.has(first)) continue;
    const points: number[] = [];
    const home = keyOf(pieces[first], pieces[first + 1]);
    let at: number | undefined = first;
    let closed = false;
    while (at !== undefined) {
      used.add(at);
      if (Math.hypot(pieces[at + 2] - pieces[at], pieces[at + 3] - pieces[at + 1]) > 1e-9) {
        points.push(pieces[at], pieces[at + 1]);
      }
      const end = keyOf(pieces[at + 2], pieces[at + 3]);
      if (end === home) {
        closed = true;
        break;
      }
      at = nextFrom(end);
    }
    if (closed && points.length >= 6)
      contours.push({ points: Float64Array.from(points), areaMm2: loopArea(points) });
  }
  return contours;
}

function loopArea(points: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < points.length; i += 2) {
    const next = (i + 2) % points.length;
    sum += points[i] * points[next + 1] - points[next] * points[i + 1];
  }
  return sum / 2;
}
