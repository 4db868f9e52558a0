import { boundsOf, facetVector, type Mesh, type Point } from '@/core/part/mesh';
import type { Base, FeatureKind } from '@/core/measure';
import { peaksOf, readLayers, sweepLayers } from '@/core/part/layers';
import { liftOf } from './clock';
import { fitStations, type CheckLimits, type Room, type PrintSetup, type Station } from './limits';
import { printHours } from './list-findings';

/** A turn of the part as the direction of the file that shall point away from the plate. */
export interface Orientation {
  readonly name: OrientationName;
  readonly up: Point;
}

export type OrientationName =
  | { readonly kind: 'asIs' }
  | { readonly kind: 'face'; readonly face: '+X' | '-X' | '+Y' | '-Y' | '-Z' }
  | { readonly kind: 'tilt'; readonly about: 'X' | 'Y'; readonly deg: number }
  | { readonly kind: 'search' };

/** What an orientation costs in the print. */
export interface OrientationWorth {
  readonly pose: Orientation;
  readonly heightMm: number;
  /** Size along X and Y in this orientation. */
  readonly footprintMm: readonly [number, number];
  readonly hours: number;
  readonly peakMm2: number;
  /** Area of faces that look down flatter than holds itself, away from the plate. */
  readonly supportedMm2: number;
  /** So much of it on faces that are seen: supports leave marks there. */
  readonly seenMm2: number;
  readonly cups: number;
  readonly islands: number;
  /** Critical sizes that run along Z there: they come in whole layers and with the plate's squash. */
  readonly alongZ: number;
  /** Stations it goes into, of those whose rooms are known. */
  readonly fits: Partial<Record<Station, boolean>>;
}

/** Row-major rotation that brings `up` to +Z by the shortest way; the half turn goes about X. */
export function rotationTo(up: Point): readonly number[] {
  const length = Math.hypot(...up);
  const [x, y, z] = up.map((value) => value / length);
  if (z < -1 + 1e-12) return [1, 0, 0, 0, -1, 0, 0, 0, -1];
  const k = 1 / (1 + z);
  return [1 - x * x * k, -x * y * k, -x, -x * y * k, 1 - y * y * k, -y, x, y, z];
}

export function turnPoint(rotation: readonly number[], [x, y, z]: Point): Point {
  return [0, 3, 6].map(
    (row) => rotation[row] * x + rotation[row + 1] * y + rotation[row + 2] * z,
  ) as unknown as Point;
}

/** Sides of a part as it stands in its file: right and left along X, back and front along Y, top and bottom along Z. */
export const SIDES = ['top', 'front', 'back', 'left', 'right', 'bottom'] as const;
export type Side = (typeof SIDES)[number];

const SIDE_DIRECTIONS: Readonly<Record<Side, Point>> = {
  top: [0, 0, 1],
  bottom: [0, 0, -1],
  right: [1, 0, 0],
  left: [-1, 0, 0],
  back: [0, 1, 0],
  front: [0, -1, 0],
};

export function directionOfSide(side: Side): Point {
  return SIDE_DIRECTIONS[side];
}

/** The side to which a direction is nearest: a tilted part's seen face still counts as one. */
export function sideOfDirection(direction: Point): Side {
  const along = (side: Side) =>
    SIDE_DIRECTIONS[side].reduce((sum, value, i) => sum + value * direction[i], 0);
  return SIDES.reduce((best, side) => (along(side) > along(best) ? side : best));
}

/** Directions this near to an axis or to the plate count as along it. */
const ALONG = 1e-3;

/**
 * How a size lies after the part was turned by a row-major rotation; undefined where no law is known for it: a flat size
 * that leans out of the plate, a round one that lies or leans. `base`: what is below its lower face, should it run along Z.
 */
export function turnedKind(
  kind: FeatureKind,
  rotation: readonly number[],
  base: Base,
): FeatureKind | undefined {
  const { sense, shape } = kind;
  const [x, y, z] = turnPoint(rotation, directionOf(kind));
  const upright = Math.hypot(x, y) < ALONG;
  if (shape === 'round') return upright ? kind : undefined;
  if (upright) return { sense, shape, axis: 'Z', ...(sense === 'outside' ? { base } : {}) };
  if (Math.abs(z) >= ALONG) return undefined;
  if (Math.abs(y) < ALONG) return { sense, shape, axis: 'X' };
  if (Math.abs(x) < ALONG) return { sense, shape, axis: 'Y' };
  return { sense, shape, axis: 'XY', angleRad: Math.atan(y / x) };
}

/** The direction in which a size is measured; of an upright round one its axis. */
export function directionOf({ shape, axis, angleRad = 0 }: FeatureKind): Point {
  if (shape === 'round' || axis === 'Z') return [0, 0, 1];
  const turn = axis === 'X' ? 0 : axis === 'Y' ? Math.PI / 2 : angleRad;
  return [Math.cos(turn), Math.sin(turn), 0];
}

/** A copy of the mesh turned and scaled, its lowest point at z = 0. */
export function posedMesh({ positions, facets }: Mesh, up: Point, scale = 1): Mesh {
  const rotation = rotationTo(up);
  const turned = new Float64Array(positions.length);
  let lowest = Infinity;
  for (let i = 0; i < positions.length; i += 3) {
    const [x, y, z] = [positions[i], positions[i + 1], positions[i + 2]];
    for (let axis = 0; axis < 3; axis++)
      turned[i + axis] =
        scale * (rotation[3 * axis] * x + rotation[3 * axis + 1] * y + rotation[3 * axis + 2] * z);
    lowest = Math.min(lowest, turned[i + 2]);
  }
  for (let i = 2; i < turned.length; i += 3) turned[i] -= lowest;
  return { positions: turned, facets };
}

const tilted = (about: 'X' | 'Y', deg: number): Orientation => {
  const turn = (deg * Math.PI) / 180;
  const up: Point = about === 'X' ? [0, Math.sin(turn), Math.cos(turn)] : [Math.sin(turn), 0, Math.cos(turn)];
  return { name: { kind: 'tilt', about, deg }, up };
};

/** As imported, on each of its other faces, and tilted in the usual ways. */
export const STUDIED_ORIENTATIONS: readonly Orientation[] = [
  { name: { kind: 'asIs' }, up: [0, 0, 1] },
  { name: { kind: 'face', face: '-Z' }, up: [0, 0, -1] },
  { name: { kind: 'face', face: '+X' }, up: [1, 0, 0] },
  { name: { kind: 'face', face: '-X' }, up: [-1, 0, 0] },
  { name: { kind: 'face', face: '+Y' }, up: [0, 1, 0] },
  { name: { kind: 'face', face: '-Y' }, up: [0, -1, 0] },
  ...[15, 30, 45].flatMap((deg) => [tilted('X', deg), tilted('Y', deg)]),
];

/** Directions spread evenly over the ball: a spiral after the golden angle. */
function evenDirections(count: number): Point[] {
  const golden = Math.PI * (3 - Math.sqrt(5));
  return Array.from({ length: count }, (_, i): Point => {
    const z = 1 - (2 * i + 1) / count;
    const radius = Math.sqrt(1 - z * z);
    return [radius * Math.cos(i * golden), radius * Math.sin(i * golden), z];
  });
}

/** Coarse layers are enough to compare orientations: at most this many. */
const STUDY_LAYERS = 160;
const SEARCHED_DIRECTIONS = 120;

/** Faces within this of a seen direction are seen. */
const SEEN_WITHIN = Math.cos(Math.PI / 4);

/** Which facets are seen: those that look the way a seen face does. */
function seenFacets(mesh: Mesh, seen: readonly Point[]): Uint8Array {
  const flags = new Uint8Array(mesh.facets.length / 3);
  if (seen.length === 0) return flags;
  for (let facet = 0; facet < flags.length; facet++) {
    const [x, y, z] = facetVector(mesh, facet);
    const size = Math.hypot(x, y, z);
    if (seen.some(([u, v, w]) => x * u + y * v + z * w > SEEN_WITHIN * size)) flags[facet] = 1;
  }
  return flags;
}

interface SupportedAreas {
  readonly supportedMm2: number;
  readonly seenMm2: number;
}

/** Faces that look down flatter than 45°, but for those that lie on the plate; and how much of it is seen. */
function supportedAreas(posed: Mesh, stance: PrintSetup, isSeen: Uint8Array): SupportedAreas {
  let [area, seen] = [0, 0];
  for (let facet = 0; facet < posed.facets.length / 3; facet++) {
    const vector = facetVector(posed, facet);
    const size = Math.hypot(...vector);
    if (-vector[2] < Math.SQRT1_2 * size || size === 0) continue;
    const isFlat = -vector[2] > 0.9999 * size;
    const height = posed.positions[3 * posed.facets[3 * facet] + 2];
    if (stance.kind !== 'supports' && isFlat && height < 1e-3) continue;
    area += size / 2;
    if (isSeen[facet] === 1) seen += size / 2;
  }
  return { supportedMm2: area, seenMm2: seen };
}

/** What the quick comparison sees of an orientation: no islands and cups, which need a full reading of the layers. */
type QuickWorth = Pick<
  OrientationWorth,
  'heightMm' | 'hours' | 'peakMm2' | 'supportedMm2' | 'seenMm2' | 'fits'
>;

/** Criteria for comparing orientations. */
export interface OrientationAim {
  readonly stance: PrintSetup;
  /** Directions in which sizes that matter run, and in which seen faces look; in the file. */
  readonly critical: readonly Point[];
  readonly seen: readonly Point[];
}

function quickWorth(posed: Mesh, limits: CheckLimits, stance: PrintSetup, isSeen: Uint8Array): QuickWorth {
  const { min, max } = boundsOf(posed.positions);
  const size: Room = [max[0] - min[0], max[1] - min[1], max[2] - min[2]];
  const lift = liftOf(stance);
  const heightMm = size[2] + lift;
  const sweep = sweepLayers(posed, { heightMm: Math.max(limits.layerMm, size[2] / STUDY_LAYERS) });
  return {
    heightMm,
    hours: printHours(Math.ceil(heightMm / limits.layerMm), limits),
    peakMm2: peaksOf(sweep).peak.areaMm2,
    ...supportedAreas(posed, stance, isSeen),
    fits: fitStations(size, lift, limits.rooms),
  };
}

/** Reads an orientation on coarse layers and rows. */
export function weighOrientation(
  mesh: Mesh,
  pose: Orientation,
  limits: CheckLimits,
  { stance, critical, seen }: OrientationAim,
): OrientationWorth {
  const posed = posedMesh(mesh, pose.up);
  const { min, max } = boundsOf(posed.positions);
  const widest = Math.max(max[0] - min[0], max[1] - min[1]);
  const reading = readLayers(posed, {
    heightMm: Math.max(limits.layerMm, (max[2] - min[2]) / STUDY_LAYERS),
    pixelMm: Math.max(limits.pixelMm.value, widest / 250),
    onSupports: stance.kind === 'supports',
  });
  const rotation = rotationTo(pose.up);
  return {
    pose,
    footprintMm: [max[0] - min[0], max[1] - min[1]],
    ...quickWorth(posed, limits, stance, seenFacets(mesh, seen)),
    cups: reading.cups.filter(({ areaMm2 }) => areaMm2 >= limits.cupMm2).length,
    islands: reading.islands.filter(({ layer }) => stance.kind !== 'supports' || layer > 0).length,
    alongZ: critical.filter(
      (direction) => Math.abs(turnPoint(rotation, direction)[2]) > Math.cos(Math.PI / 9),
    ).length,
  };
}

/** A support on a seen face costs as much as so many elsewhere: it has to be rubbed down and may still show. */
const SEEN_COSTS = 4;

function supportBurden({ supportedMm2, seenMm2 }: QuickWorth): number {
  return supportedMm2 + (SEEN_COSTS - 1) * seenMm2 + 1;
}

/** One number to search by: hours, peel and supports each against the best of them, those that do not fit last. */
function burden(worth: QuickWorth, best: readonly number[]): number {
  const parts = [worth.hours, worth.peakMm2, supportBurden(worth)];
  const sum = parts.reduce((total, part, i) => total + part / best[i], 0);
  return worth.fits.plate === false ? 1000 + sum : sum;
}

/**
 * Returns the orientation with the least burden among directions spread over the sphere, then among closer and closer
 * ones.
 */
export function searchOrientation(
  mesh: Mesh,
  limits: CheckLimits,
  { stance, seen }: Pick<OrientationAim, 'stance' | 'seen'>,
  onProgress: (share: number) => void = () => {},
): Orientation {
  const poseTo = (up: Point): Orientation => ({ name: { kind: 'search' }, up });
  const isSeen = seenFacets(mesh, seen);
  const worthOf = (up: Point) => quickWorth(posedMesh(mesh, up), limits, stance, isSeen);
  const worths = evenDirections(SEARCHED_DIRECTIONS).map((up, i) => {
    onProgress(i / (SEARCHED_DIRECTIONS + 27));
    return { up, worth: worthOf(up) };
  });
  const least = (of: (each: (typeof worths)[number]) => number) => Math.min(...worths.map(of));
  const best = [
    least(({ worth }) => worth.hours),
    least(({ worth }) => worth.peakMm2),
    least(({ worth }) => supportBurden(worth)),
  ];
  let found = worths.reduce((a, b) => (burden(b.worth, best) < burden(a.worth, best) ? b : a));
  let done = SEARCHED_DIRECTIONS;
  for (const step of [0.12, 0.05, 0.02]) {
    const { up } = found;
    for (const [a, b] of [-1, 0, 1].flatMap((p) => [-1, 0, 1].map((q) => [p, q]))) {
      onProgress(done++ / (SEARCHED_DIRECTIONS + 27));
      const u: Point = Math.abs(up[2]) > 0.9 ? [0, up[2], -up[1]] : [up[1], -up[0], 0];
      const v: Point = [
        up[1] * u[2] - up[2] * u[1],
        up[2] * u[0] - up[0] * u[2],
        up[0] * u[1] - up[1] * u[0],
      ];
      const near = [0, 1, 2].map((k) => up[k] + step * (a * u[k] + b * v[k])) as unknown as Point;
      const length = Math.hypot(...near);
      const direction = near.map((value) => value / length) as unknown as Point;
      const worth = worthOf(direction);
      if (burden(worth, best) < burden(found.worth, best)) found = { up: direction, worth };
    }
  }
  return poseTo(found.up);
}
