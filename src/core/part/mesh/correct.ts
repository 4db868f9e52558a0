import type { FeatureKind } from '@/core/measure';
import type { FoundFeature } from './features';
import { findCrossings, MOST_CROSSING_FACETS } from './crossings';
import { boundsOf, facetVector, type Mesh } from './mesh';

/** What a signature says that a whole part can be corrected for; lengths mm, shrinks as signed shares. */
export interface PartCorrection {
  readonly epsilonX: number;
  readonly epsilonY: number;
  readonly epsilonZ: number;
  readonly skew: number;
  readonly edgeMm: number;
  /** How much further a wall around air grows, and per mm of diameter where it is round (mm²). */
  readonly insideMm: number;
  readonly roundMm2: number;
  readonly zSupportedMm: number;
  readonly zPlateMm: number;
}

interface CorrectOptions {
  /** The lowest flat face stands on the plate (squash), instead of hanging on supports. Default true. */
  readonly onPlate: boolean;
  /** Faces whose normal points down more than this (−n_z) count as hanging. Default 0.7, steeper than 45°. */
  readonly hangingFrom: number;
  /** Features recognised on the mesh: the walls of its holes and slots take their extra growth as well. */
  readonly features?: readonly FoundFeature[];
}

export const CORRECT_DEFAULTS: CorrectOptions = Object.freeze({ onPlate: true, hangingFrom: 0.7 });

export interface CorrectedMesh {
  readonly mesh: Mesh;
  /**
   * Facets that cut through another one and did not before, or turned over: a wall or a gap is thinner than the offset.
   * undefined: too many facets to look for crossings, and none turned over.
   */
  readonly crossedFacets: number | undefined;
  /** Largest distance by which a vertex missed what its facets asked, mm: 0 on prismatic walls. */
  readonly worstMissMm: number;
}

/** The inverse of the process's scale and skew, applied to every vertex. */
function unscale({ positions }: Mesh, by: PartCorrection): Float64Array {
  const [a, b, d] = [1 + by.epsilonX, by.skew / 2, 1 + by.epsilonY];
  const determinant = a * d - b * b;
  const scaled = new Float64Array(positions.length);
  for (let i = 0; i < positions.length; i += 3) {
    scaled[i] = (d * positions[i] - b * positions[i + 1]) / determinant;
    scaled[i + 1] = (a * positions[i + 1] - b * positions[i]) / determinant;
    scaled[i + 2] = positions[i + 2] / (1 + by.epsilonZ);
  }
  return scaled;
}

/** What one facet is moved by. */
interface FaceLaw {
  readonly by: PartCorrection;
  readonly hangingFrom: number;
  /** What a wall around air grows beyond an edge. */
  readonly extraMm: number;
}

/** How much further the walls of recognised holes and slots grow, one number a facet. */
function extraGrowth(
  facetCount: number,
  by: PartCorrection,
  features: readonly FoundFeature[],
): Float64Array {
  const extra = new Float64Array(facetCount);
  for (const { kind, nominalMm, facets } of features) {
    if (kind.sense !== 'inside' || kind.axis === 'Z') continue;
    // A bore that lies is no row of the law: only upright ones close further for being round.
    const round =
      kind.shape === 'round' ? (kind.axis === 'XY' ? by.roundMm2 / Math.max(1, nominalMm) : NaN) : 0;
    if (Number.isNaN(round)) continue;
    for (const facet of facets) extra[facet] = by.insideMm + round;
  }
  return extra;
}

/** How far a facet's plane is to move along its outward normal, mm: an XY offset acts across the facet's contour only. */
function facetMove(
  normal: readonly number[],
  onPlate: boolean,
  { by, hangingFrom, extraMm }: FaceLaw,
): number {
  const across = Math.hypot(normal[0], normal[1]);
  const inPlane = Math.atan2(normal[1], normal[0]);
  const [cos, sin] = [Math.cos(inPlane), Math.sin(inPlane)];
  const scale = 1 + by.epsilonX * cos * cos + by.epsilonY * sin * sin + by.skew * sin * cos;
  const edge = (-(by.edgeMm + extraMm) / scale) * across;
  const lift = onPlate ? by.zPlateMm : -normal[2] > hangingFrom ? by.zSupportedMm : 0;
  return edge + (normal[2] * lift) / (1 + by.epsilonZ);
}

/** Corner angle of a facet at one of its vertices: splitting a face into more facets changes nothing. */
function cornerAngle(positions: Float64Array, [at, next, last]: readonly number[]): number {
  const u = [0, 1, 2].map((i) => positions[3 * next + i] - positions[3 * at + i]);
  const v = [0, 1, 2].map((i) => positions[3 * last + i] - positions[3 * at + i]);
  const dot = u[0] * v[0] + u[1] * v[1] + u[2] * v[2];
  return Math.acos(Math.min(1, Math.max(-1, dot / (Math.hypot(...u) * Math.hypot(...v)))));
}

/** Normal equations of every vertex: six sums of w·n·nᵀ, three of w·n·move; stride nine. */
function gatherNormals(
  mesh: Mesh,
  by: PartCorrection,
  options: CorrectOptions,
  extra: Float64Array,
): Float64Array {
  const sums = new Float64Array(3 * mesh.positions.length);
  const { min, max } = boundsOf(mesh.positions);
  const flat = 1e-6 * Math.max(1, max[2] - min[2]);
  for (let facet = 0; facet < mesh.facets.length / 3; facet++) {
    const vector = facetVector(mesh, facet);
    const length = Math.hypot(...vector);
    if (length === 0) continue;
    const [nx, ny, nz] = vector.map((value) => value / length);
    const corners = mesh.facets.subarray(3 * facet, 3 * facet + 3);
    const lowest = corners.every((vertex) => mesh.positions[3 * vertex + 2] - min[2] <= flat);
    const law = { by, hangingFrom: options.hangingFrom, extraMm: extra[facet] };
    const move = facetMove([nx, ny, nz], options.onPlate && lowest, law);
    for (let k = 0; k < 3; k++) {
      const weight = cornerAngle(mesh.positions, [corners[k], corners[(k + 1) % 3], corners[(k + 2) % 3]]);
      const at = 9 * corners[k];
      const terms = [nx * nx, nx * ny, nx * nz, ny * ny, ny * nz, nz * nz, nx * move, ny * move, nz * move];
      for (let i = 0; i < 9; i++) sums[at + i] += weight * terms[i];
    }
  }
  return sums;
}

/** Solves the 3 × 3 normal equations with a trace of ridge, so that what no facet asks for stays where it is. */
function solveMove(sums: Float64Array, at: number): [number, number, number] {
  const ridge = 1e-10 * (sums[at] + sums[at + 3] + sums[at + 5]) || 1;
  const [xx, xy, xz, yy, yz, zz] = [
    sums[at] + ridge,
    sums[at + 1],
    sums[at + 2],
    sums[at + 3] + ridge,
    sums[at + 4],
    sums[at + 5] + ridge,
  ];
  const [bx, by, bz] = [sums[at + 6], sums[at + 7], sums[at + 8]];
  const cx = yy * zz - yz * yz;
  const cy = xz * yz - xy * zz;
  const cz = xy * yz - xz * yy;
  const determinant = xx * cx + xy * cy + xz * cz;
  return [
    (bx * cx + by * cy + bz * cz) / determinant,
    (bx * cy + by * (xx * zz - xz * xz) + bz * (xy * xz - xx * yz)) / determinant,
    (bx * cz + by * (xy * xz - xx * yz) + bz * (xx * yy - xy * xy)) / determinant,
  ];
}

function worstMiss(
  before: Mesh,
  moved: Float64Array,
  wantedOf: (normal: readonly number[], lowest: boolean, facet: number) => number,
): number {
  const { min, max } = boundsOf(before.positions);
  const flat = 1e-6 * Math.max(1, max[2] - min[2]);
  let worst = 0;
  for (let facet = 0; facet < before.facets.length / 3; facet++) {
    const vector = facetVector(before, facet);
    const length = Math.hypot(...vector);
    if (length === 0) continue;
    const normal = vector.map((value) => value / length);
    const corners = before.facets.subarray(3 * facet, 3 * facet + 3);
    const lowest = corners.every((vertex) => before.positions[3 * vertex + 2] - min[2] <= flat);
    const wanted = wantedOf(normal, lowest, facet);
    for (const vertex of corners) {
      const along = [0, 1, 2].reduce(
        (sum, i) => sum + normal[i] * (moved[3 * vertex + i] - before.positions[3 * vertex + i]),
        0,
      );
      worst = Math.max(worst, Math.abs(along - wanted));
    }
  }
  return worst;
}

/**
 * The mesh to print instead, so that scale, skew, edge growth and the growth below hanging faces come out right.
 * First the inverse scale, then every vertex moves to where its facets' shifted planes meet: least squares over the
 * normals around it, exact where at most three directions meet (prismatic walls). Re-seated at the lowest z it had.
 * Walls of recognised holes and slots move by their extra growth (h, c/D) too; what is not recognised keeps it.
 */
export function correctMesh(
  mesh: Mesh,
  by: PartCorrection,
  options: CorrectOptions = CORRECT_DEFAULTS,
): CorrectedMesh {
  const scaled: Mesh = { positions: unscale(mesh, by), facets: mesh.facets };
  const extra = extraGrowth(mesh.facets.length / 3, by, options.features ?? []);
  const sums = gatherNormals(scaled, by, options, extra);
  const moved = scaled.positions.slice();
  for (let vertex = 0; vertex < moved.length / 3; vertex++) {
    solveMove(sums, 9 * vertex).forEach((step, i) => (moved[3 * vertex + i] += step));
  }
  const worstMissMm = worstMiss(scaled, moved, (normal, lowest, facet) =>
    facetMove(normal, options.onPlate && lowest, {
      by,
      hangingFrom: options.hangingFrom,
      extraMm: extra[facet],
    }),
  );
  const drop = boundsOf(moved).min[2] - boundsOf(mesh.positions).min[2];
  for (let i = 2; i < moved.length; i += 3) moved[i] -= drop;
  const corrected: Mesh = { positions: moved, facets: mesh.facets };
  return { mesh: corrected, crossedFacets: countCrossed(scaled, corrected), worstMissMm };
}

/** Facets that turned over or cut through another one since. */
function countCrossed(before: Mesh, after: Mesh): number | undefined {
  const crossed = new Set<number>();
  const count = before.facets.length / 3;
  for (let facet = 0; facet < count; facet++) {
    const [was, is] = [facetVector(before, facet), facetVector(after, facet)];
    const dot = was[0] * is[0] + was[1] * is[1] + was[2] * is[2];
    if (Math.hypot(...was) > 0 && dot <= 0) crossed.add(facet);
  }
  if (count > MOST_CROSSING_FACETS) return crossed.size === 0 ? undefined : crossed.size;
  const known = new Set(findCrossings(before).map((pair) => pair.join()));
  for (const pair of findCrossings(after))
    if (!known.has(pair.join())) pair.forEach((facet) => crossed.add(facet));
  return crossed.size;
}

/**
 * The size to draw so that this process makes `wantedMm` of it: the law of the process turned round. Lying bores have no
 * row in it. Throws RangeError for those.
 */
export function drawnFor(kind: FeatureKind, wantedMm: number, by: PartCorrection): number {
  if (kind.axis === 'Z') {
    const end = kind.sense === 'pitch' ? 0 : kind.base === 'plate' ? by.zPlateMm : by.zSupportedMm;
    return (wantedMm - (kind.sense === 'inside' ? -end : end)) / (1 + by.epsilonZ);
  }
  if (kind.shape === 'round' && kind.axis !== 'XY') throw new RangeError('drawnFor: a lying bore has no law');
  const turn = kind.axis === 'X' ? 0 : kind.axis === 'Y' ? Math.PI / 2 : (kind.angleRad ?? 0);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const scale =
    kind.shape === 'round'
      ? 1 + (by.epsilonX + by.epsilonY) / 2
      : 1 + by.epsilonX * cos * cos + by.epsilonY * sin * sin + by.skew * sin * cos;
  if (kind.sense === 'pitch') return wantedMm / scale;
  if (kind.sense === 'outside') return (wantedMm - 2 * by.edgeMm) / scale;
  const round = kind.shape === 'round' ? by.roundMm2 / Math.max(1, wantedMm) : 0;
  return (wantedMm + 2 * (by.edgeMm + by.insideMm + round)) / scale;
}
