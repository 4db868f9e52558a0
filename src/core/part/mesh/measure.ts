import { fail, ok, type Result } from '@/core/kit';
import type { FeatureKind } from '@/core/measure';
import { circleThrough } from './circle';
import type { Mesh, Point } from './mesh';
import { crossLine, joinContours, sectionAt, type Contour } from './section';

export type MeasureIssue =
  { readonly code: 'nothingThere'; readonly anchorMm: Point } | { readonly code: 'pitchNeedsTwoPlaces' };

/** How far from its anchor a surface may have moved and still be taken for it, mm. */
const REACH_MM = 1;

function directionOf(kind: FeatureKind): Point {
  if (kind.axis === 'Z') return [0, 0, 1];
  const angle = kind.axis === 'X' ? 0 : kind.axis === 'Y' ? Math.PI / 2 : (kind.angleRad ?? 0);
  return kind.axis === 'X'
    ? [1, 0, 0]
    : kind.axis === 'Y'
      ? [0, 1, 0]
      : [Math.cos(angle), Math.sin(angle), 0];
}

/** Distance between the two faces on the line through the anchor; the pair of which one face is nearest to it. */
function measureFlat(mesh: Mesh, kind: FeatureKind, anchorMm: Point): Result<number, MeasureIssue> {
  const crossings = crossLine(mesh, anchorMm, directionOf(kind));
  const pairs = crossings.slice(1).flatMap((far, i) => {
    const near = crossings[i];
    const isPair = near.entering !== far.entering && near.entering === (kind.sense === 'outside');
    const apart = Math.min(Math.abs(near.atMm), Math.abs(far.atMm));
    return isPair && (apart <= REACH_MM || (near.atMm <= 0 && far.atMm >= 0)) ? [{ near, far, apart }] : [];
  });
  if (pairs.length === 0) return fail({ code: 'nothingThere', anchorMm });
  const best = pairs.reduce((a, b) => (b.apart < a.apart ? b : a));
  return ok(best.far.atMm - best.near.atMm);
}

function distanceToLoop({ points }: Contour, x: number, y: number): number {
  let least = Infinity;
  for (let i = 0; i < points.length; i += 2) {
    const j = (i + 2) % points.length;
    least = Math.min(least, distanceToPiece([points[i], points[i + 1], points[j], points[j + 1]], x, y));
  }
  return least;
}

function distanceToPiece([x0, y0, x1, y1]: readonly number[], x: number, y: number): number {
  const [dx, dy] = [x1 - x0, y1 - y0];
  const along = ((x - x0) * dx + (y - y0) * dy) / (dx * dx + dy * dy);
  const share = Math.min(1, Math.max(0, along));
  return Math.hypot(x0 + share * dx - x, y0 + share * dy - y);
}

/**
 * Diameter of the loop nearest the anchor in the section at its height: of a shaft the circle around its corners,
 * of a hole the circle inside its sides, as jaws and a pin would find them.
 */
function measureRound(mesh: Mesh, kind: FeatureKind, anchorMm: Point): Result<number, MeasureIssue> {
  const contours = joinContours(sectionAt(mesh, anchorMm[2])).filter(
    ({ areaMm2 }) => areaMm2 < 0 === (kind.sense === 'inside'),
  );
  const near = contours
    .map((contour) => ({ contour, apart: distanceToLoop(contour, anchorMm[0], anchorMm[1]) }))
    .filter(({ apart }) => apart <= REACH_MM)
    .sort((a, b) => a.apart - b.apart)[0];
  if (near === undefined) return fail({ code: 'nothingThere', anchorMm });
  const corners = Array.from({ length: near.contour.points.length / 2 }, (_, i): [number, number] => [
    near.contour.points[2 * i],
    near.contour.points[2 * i + 1],
  ]);
  const circle = circleThrough(corners);
  if (circle === undefined) return fail({ code: 'nothingThere', anchorMm });
  const { x, y } = circle;
  if (kind.sense === 'inside') return ok(2 * distanceToLoop(near.contour, x, y));
  const { points } = near.contour;
  let most = 0;
  for (let i = 0; i < points.length; i += 2)
    most = Math.max(most, Math.hypot(points[i] - x, points[i + 1] - y));
  return ok(2 * most);
}

/**
 * Size of a feature in a file, found again from a place on one of its faces; mm.
 * Flat sizes along the line through the anchor, round ones in the section at its height. Pitches need two places.
 */
export function measureFeature(mesh: Mesh, kind: FeatureKind, anchorMm: Point): Result<number, MeasureIssue> {
  if (kind.sense === 'pitch') return fail({ code: 'pitchNeedsTwoPlaces' });
  return kind.shape === 'round' ? measureRound(mesh, kind, anchorMm) : measureFlat(mesh, kind, anchorMm);
}
