import type { Axis, FeatureKind } from '@/core/measure';
import { boundsOf, type Mesh, type Point } from './mesh';
import { growFlatFaces, RoundFinder, SMOOTH_RAD, type FlatFace, type RoundFace } from './patches';
import { cornersOfFacet, crossOf, dotOf, minus, scaled, unit, distanceToFacet } from './vectors';

export type FeatureSort = 'width' | 'slot' | 'height' | 'hole' | 'shaft' | 'pitch';

/** A size found on a mesh, as drawn there. */
export interface FoundFeature {
  readonly sort: FeatureSort;
  /** How it prints and is measured; for a round feature that lies, the direction across it in the plane. */
  readonly kind: FeatureKind;
  readonly nominalMm: number;
  /** Middle between the faces, or on the axis. */
  readonly centreMm: Point;
  /** Unit vector across the faces, or along the axis. */
  readonly direction: Point;
  /** On one of its faces: where it is found again. */
  readonly anchorMm: Point;
  /** The facets of its faces. */
  readonly facets: readonly number[];
  /** How far the facets of a circle stray from it, on the diameter, mm. */
  readonly facetErrorMm?: number;
}

/** Faces smaller than this carry no size of their own, mm². */
const LEAST_FACE_MM2 = 0.25;
/** Sizes that differ by less are the same, mm. */
const SAME_MM = 0.002;
const MOST_FEATURES = 400;
/** On larger meshes features are not looked for: they are scans, and it would take minutes. */
export const MOST_FEATURE_FACETS = 400_000;

/** A face of a rounded surface: bounded by smooth edges to faces not much smaller than itself. */
function isCurved(face: FlatFace, faces: readonly FlatFace[]): boolean {
  let [smooth, all, largest] = [0, 0, 0];
  for (const { face: beside, turnRad, edgeMm } of face.beside) {
    all += edgeMm;
    if (turnRad > SMOOTH_RAD) continue;
    smooth += edgeMm;
    largest = Math.max(largest, faces[beside].areaMm2);
  }
  return smooth > 0.6 * all && face.areaMm2 < 8 * largest;
}

/** Is this point, seen along the normal, within the face? */
function covers(mesh: Mesh, face: FlatFace, point: Point): boolean {
  return face.facets.some((facet) => {
    const corners = cornersOfFacet(mesh, facet);
    return [0, 1, 2].every((k) => {
      const [a, b] = [corners[k], corners[(k + 1) % 3]];
      return dotOf(crossOf(minus(b, a), minus(point, a)), face.normal) >= -1e-9;
    });
  });
}

const middleOf = ([a, b, c]: readonly Point[]): Point => [
  (a[0] + b[0] + c[0]) / 3,
  (a[1] + b[1] + c[1]) / 3,
  (a[2] + b[2] + c[2]) / 3,
];

/** Some points of a face: the middles of its larger facets. */
function pointsOn(mesh: Mesh, face: FlatFace): Point[] {
  const middles = face.facets.map((facet) => {
    const corners = cornersOfFacet(mesh, facet);
    const area = Math.hypot(...crossOf(minus(corners[1], corners[0]), minus(corners[2], corners[0])));
    return { middle: middleOf(corners), area };
  });
  return middles
    .sort((a, b) => b.area - a.area)
    .slice(0, 24)
    .map(({ middle }) => middle);
}

/** The point of one face that lies over the other, if they overlap seen along their normals. */
function overlapOf(mesh: Mesh, a: FlatFace, b: FlatFace): Point | undefined {
  const ofA = pointsOn(mesh, a).find((point) => covers(mesh, b, point));
  if (ofA !== undefined) return ofA;
  const ofB = pointsOn(mesh, b).find((point) => covers(mesh, a, point));
  return ofB === undefined ? undefined : minus(ofB, scaled(a.normal, dotOf(a.normal, ofB) - a.offsetMm));
}

function axisOf([x, y, z]: Point): { axis: Axis; angleRad?: number } | undefined {
  if (Math.abs(z) > 0.9999) return { axis: 'Z' };
  if (Math.abs(z) > 1e-4) return undefined;
  const angleRad = ((Math.atan2(y, x) % Math.PI) + Math.PI) % Math.PI;
  if (Math.min(angleRad, Math.PI - angleRad) < 1e-4) return { axis: 'X' };
  if (Math.abs(angleRad - Math.PI / 2) < 1e-4) return { axis: 'Y' };
  return { axis: 'XY', angleRad };
}

/** The two faces nearest to one another across material (outside) or air (inside), from one of them. */
function pairFrom(
  mesh: Mesh,
  face: FlatFace,
  candidates: readonly FlatFace[],
  sense: 'outside' | 'inside',
): { partner: FlatFace; nominalMm: number; onFace: Point } | undefined {
  const across = candidates
    .map((partner) => {
      // Along this face's normal its partner's plane lies here; behind the face is material.
      const ahead = -partner.offsetMm - face.offsetMm;
      return { partner, apart: sense === 'outside' ? -ahead : ahead };
    })
    .filter(({ apart }) => apart > 1e-6)
    .sort((a, b) => a.apart - b.apart);
  for (const { partner, apart } of across) {
    const onFace = overlapOf(mesh, face, partner);
    if (onFace !== undefined) return { partner, nominalMm: apart, onFace };
  }
  return undefined;
}

function flatFeatures(mesh: Mesh, flats: readonly FlatFace[]): FoundFeature[] {
  const lowest = boundsOf(mesh.positions).min[2];
  const found: FoundFeature[] = [];
  const seen = new Set<string>();
  flats.forEach((face, index) => {
    const direction = axisOf(face.normal);
    if (direction === undefined) return;
    const opposite = flats.filter((other) => dotOf(other.normal, face.normal) < -1 + 1e-8);
    for (const sense of ['outside', 'inside'] as const) {
      const pair = pairFrom(mesh, face, opposite, sense);
      if (pair === undefined) continue;
      const other = flats.indexOf(pair.partner);
      const key = `${sense} ${Math.min(index, other)} ${Math.max(index, other)}`;
      if (seen.has(key)) continue;
      seen.add(key);
      const towards = sense === 'outside' ? -1 : 1;
      const centreMm = minus(pair.onFace, scaled(face.normal, (-towards * pair.nominalMm) / 2));
      const isHeight = direction.axis === 'Z';
      const lower = face.normal[2] < 0 ? face : pair.partner;
      const onPlate = Math.abs(-lower.offsetMm - lowest) < 1e-3;
      found.push({
        sort: sense === 'inside' ? 'slot' : isHeight ? 'height' : 'width',
        kind: {
          sense,
          shape: 'flat',
          ...direction,
          ...(isHeight && sense === 'outside' ? { base: onPlate ? 'plate' : 'supported' } : {}),
        },
        nominalMm: pair.nominalMm,
        centreMm,
        direction: positive(face.normal),
        anchorMm: pair.onFace,
        facets: [...face.facets, ...pair.partner.facets],
      });
    }
  });
  return found;
}

/** The same line, towards growing z, y or x. */
function positive(direction: Point): Point {
  const [x, y, z] = direction;
  const first = Math.abs(z) > 1e-9 ? z : Math.abs(y) > 1e-9 ? y : x;
  return first < 0 ? scaled(direction, -1) : direction;
}

/** One bore that something crosses is found in pieces: those on one axis with one radius are one. */
function joinRounds(rounds: readonly RoundFace[]): RoundFace[] {
  const joined: RoundFace[] = [];
  for (const round of rounds) {
    const same = joined.findIndex((other) => {
      const apart = minus(round.centreMm, other.centreMm);
      const along = dotOf(apart, other.axis);
      const beside = Math.hypot(...minus(apart, scaled(other.axis, along)));
      const free = Math.abs(along) - (round.lengthMm + other.lengthMm) / 2;
      return (
        round.inside === other.inside &&
        Math.abs(round.radiusMm - other.radiusMm) < SAME_MM / 2 &&
        Math.abs(dotOf(round.axis, other.axis)) > 1 - 1e-6 &&
        beside < SAME_MM &&
        free < 2 * other.radiusMm
      );
    });
    if (same < 0) joined.push(round);
    else joined[same] = { ...joined[same], facets: [...joined[same].facets, ...round.facets] };
  }
  return joined;
}

function roundFeatures(mesh: Mesh, rounds: readonly RoundFace[]): FoundFeature[] {
  return joinRounds(rounds).flatMap((round): FoundFeature[] => {
    const upright = Math.abs(round.axis[2]) > 0.9999;
    // Across a lying axis, in the plane.
    const across = upright ? { axis: 'XY' as const } : axisOf(unit([-round.axis[1], round.axis[0], 0]));
    if (across === undefined) return [];
    return [
      {
        sort: round.inside ? 'hole' : 'shaft',
        kind: { sense: round.inside ? 'inside' : 'outside', shape: 'round', ...across },
        nominalMm: 2 * round.radiusMm,
        centreMm: round.centreMm,
        direction: positive(round.axis),
        anchorMm: middleOf(cornersOfFacet(mesh, round.facets[0])),
        facets: round.facets,
        facetErrorMm: round.facetErrorMm,
      },
    ];
  });
}

/** Distances between equal features beside one another. */
function pitches(features: readonly FoundFeature[]): FoundFeature[] {
  const found: FoundFeature[] = [];
  features.forEach((feature, i) => {
    let nearest: { other: FoundFeature; apart: Point; length: number } | undefined;
    for (const other of features.slice(i + 1)) {
      if (other.sort !== feature.sort || Math.abs(other.nominalMm - feature.nominalMm) > SAME_MM) continue;
      if (Math.abs(dotOf(other.direction, feature.direction)) < 1 - 1e-6) continue;
      const apart = minus(other.centreMm, feature.centreMm);
      const along = dotOf(apart, feature.direction);
      const beside = Math.hypot(...minus(apart, scaled(feature.direction, along)));
      // Slots and walls follow one another along their own direction, bores beside their axes.
      const [run, off] =
        feature.kind.shape === 'round' ? [beside, Math.abs(along)] : [Math.abs(along), beside];
      if (run < SAME_MM || off > 0.05) continue;
      if (nearest === undefined || run < nearest.length) nearest = { other, apart, length: run };
    }
    if (nearest === undefined) return;
    const { other, apart, length } = nearest;
    const direction = positive(feature.kind.shape === 'round' ? unit(apart) : feature.direction);
    const across = axisOf(direction);
    if (across === undefined) return;
    found.push({
      sort: 'pitch',
      kind: { sense: 'pitch', shape: 'flat', ...across },
      nominalMm: length,
      centreMm: scaled(
        [0, 1, 2].map((k) => feature.centreMm[k] + other.centreMm[k]) as unknown as Point,
        0.5,
      ),
      direction,
      anchorMm: feature.anchorMm,
      facets: [...feature.facets, ...other.facets],
    });
  });
  return found;
}

/**
 * Finds the sizes that a mesh carries: flat faces paired across material (widths, heights) or air (slots), round faces
 * (holes, shafts; the circle through their corners), and the pitches of equal ones side by side. Slanted faces, balls,
 * threads and scans yield none. Round ones come first, then
 * flat ones by the area of their faces, then pitches; at most 400.
 */
export function findFeatures(mesh: Mesh): FoundFeature[] {
  const faces = growFlatFaces(mesh);
  const rounds = new RoundFinder(mesh, faces).find();
  const taken = new Set(rounds.flatMap(({ faces: members }) => [...members]));
  const flats = faces
    .filter((face, i) => face.areaMm2 >= LEAST_FACE_MM2 && !taken.has(i) && !isCurved(face, faces))
    .sort((a, b) => b.areaMm2 - a.areaMm2)
    .slice(0, MOST_FEATURES);
  const sizes = [...roundFeatures(mesh, rounds), ...flatFeatures(mesh, flats)];
  return [...sizes, ...pitches(sizes)].slice(0, MOST_FEATURES);
}

/** Distance of a place from the faces of a feature, mm. */
export function distanceToFeature(mesh: Mesh, { facets }: FoundFeature, place: Point): number {
  return facets.reduce((least, facet) => Math.min(least, distanceToFacet(mesh, facet, place)), Infinity);
}
