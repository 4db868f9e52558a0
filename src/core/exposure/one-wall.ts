import { fail, ok, type Result } from '@/core/kit';
import type { EdgeObservation } from './exposure-change';

/** A wall read against what was drawn; mm. */
export interface WallRead {
  readonly drawnMm: number;
  readonly readMm: number;
}

/** What else makes a wall thick or thin, mm: shrink along it, what is its own, and what walls of one set are wrong by alike. */
export interface WallDoubts {
  readonly shrinkMean: number;
  readonly shrinkSd: number;
  /** Its repeatable deviation, the chance of its print, its reading. */
  readonly ownSdMm: number;
  /** The caliper's bias; 0 where it is in what else is known. */
  readonly sharedSdMm: number;
}

/** Growth of edges by walls of one set: `sdMm` of all of it, `sharedSdMm` of what another set of the kind would share. */
export interface WallEdge extends EdgeObservation {
  readonly sharedSdMm: number;
  readonly ownSdMm: number;
}

export type WallIssue =
  | { readonly code: 'notPositive' }
  /** So far off that it is another size, or no wall. */
  | { readonly code: 'otherSize'; readonly share: number };

const MOST_SHARE = 0.5;
const MOST_MM = 0.5;

/**
 * Returns one wall as an observation of edge growth: half of its excess over drawn and shrunk, with the uncertainty of
 * its repeatable deviation, of the shrinkage and of the reading. `walls`: the same from this many walls at other places
 * with equal drawn size. Example: drawn 2, read 2.12, shrinkage 0.3 % → +0.063 mm on each face.
 */
export function edgeOfWall(
  { drawnMm, readMm }: WallRead,
  doubts: WallDoubts,
  exposureS: number,
  walls = 1,
): Result<WallEdge, WallIssue> {
  if (!(drawnMm > 0 && readMm > 0)) return fail({ code: 'notPositive' });
  const off = Math.abs(readMm - drawnMm);
  if (off > MOST_MM && off > MOST_SHARE * drawnMm)
    return fail({ code: 'otherSize', share: readMm / drawnMm - 1 });
  const ownSdMm = doubts.ownSdMm / Math.sqrt(walls) / 2;
  const sharedSdMm = Math.hypot(drawnMm * doubts.shrinkSd, doubts.sharedSdMm) / 2;
  const edgeMm = (readMm - drawnMm * (1 + doubts.shrinkMean)) / 2;
  return ok({ exposureS, edgeMm, ownSdMm, sharedSdMm, sdMm: Math.hypot(ownSdMm, sharedSdMm) });
}
