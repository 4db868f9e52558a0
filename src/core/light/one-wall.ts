import { fail, ok, type Result } from '@/core/result';
import type { EdgeObservation } from './trim';

/** A wall read against what was drawn; mm. */
export interface WallRead {
  readonly drawnMm: number;
  readonly readMm: number;
}

/** What else makes a wall thick or thin: shrink along it, its own habit with the chance of its print, and the reading. */
export interface WallDoubts {
  readonly shrinkMean: number;
  readonly shrinkSd: number;
  readonly habitSdMm: number;
  readonly readSdMm: number;
}

export type WallIssue =
  | { readonly code: 'notPositive' }
  /** So far off that it is another size, or no wall. */
  | { readonly code: 'otherSize'; readonly share: number };

const MOST_SHARE = 0.5;
const MOST_MM = 0.5;

/**
 * One wall as an observation of edge growth: half of what it is thicker than drawn and shrunk, as sure as its own habit, the
 * shrink and the reading let it be. `more`: the same from so many walls of other places, drawn alike.
 * Example: drawn 2, read 2.12, shrink 0.3 % → +0.063 mm on each face.
 */
export function edgeOfWall(
  { drawnMm, readMm }: WallRead,
  { shrinkMean, shrinkSd, habitSdMm, readSdMm }: WallDoubts,
  exposureS: number,
  walls = 1,
): Result<EdgeObservation, WallIssue> {
  if (!(drawnMm > 0 && readMm > 0)) return fail({ code: 'notPositive' });
  const off = Math.abs(readMm - drawnMm);
  if (off > MOST_MM && off > MOST_SHARE * drawnMm)
    return fail({ code: 'otherSize', share: readMm / drawnMm - 1 });
  const own = Math.hypot(habitSdMm, readSdMm) / Math.sqrt(walls);
  return ok({
    exposureS,
    edgeMm: (readMm - drawnMm * (1 + shrinkMean)) / 2,
    sdMm: Math.hypot(own, drawnMm * shrinkSd) / 2,
  });
}
