import { fail, ok, type Result } from '@/core/kit';

/** A cone frustum: diameters at its ends, height, half angle from the axis. */
export interface Taper {
  readonly largeMm: number;
  readonly smallMm: number;
  readonly heightMm: number;
  readonly halfAngleRad: number;
}

type TaperIssue =
  | { readonly code: 'threeOfFour' }
  | { readonly code: 'taperEatsIt'; readonly smallMm: number }
  | { readonly code: 'taperTurned' };

/**
 * The rest of a taper from any three of its four sizes. Refuses other counts, and ends that cross.
 * Example: large 10, height 5, half angle 5.71° → small 9.
 */
export function completeTaper(known: Partial<Taper>): Result<Taper, TaperIssue> {
  const { largeMm, smallMm, heightMm, halfAngleRad } = known;
  if (Object.values(known).filter((value) => value !== undefined).length !== 3)
    return fail({ code: 'threeOfFour' });
  const taper: Taper =
    largeMm === undefined
      ? {
          largeMm: smallMm! + 2 * heightMm! * Math.tan(halfAngleRad!),
          smallMm: smallMm!,
          heightMm: heightMm!,
          halfAngleRad: halfAngleRad!,
        }
      : smallMm === undefined
        ? {
            largeMm,
            smallMm: largeMm - 2 * heightMm! * Math.tan(halfAngleRad!),
            heightMm: heightMm!,
            halfAngleRad: halfAngleRad!,
          }
        : heightMm === undefined
          ? {
              largeMm,
              smallMm,
              heightMm: (largeMm - smallMm) / (2 * Math.tan(halfAngleRad!)),
              halfAngleRad: halfAngleRad!,
            }
          : { largeMm, smallMm, heightMm, halfAngleRad: Math.atan((largeMm - smallMm) / (2 * heightMm)) };
  if (!(taper.smallMm > 0)) return fail({ code: 'taperEatsIt', smallMm: taper.smallMm });
  return taper.largeMm < taper.smallMm || !(taper.heightMm > 0) ? fail({ code: 'taperTurned' }) : ok(taper);
}

/** A chamfer at an entry: how far in, and how far along. */
interface LeadIn {
  readonly depthMm: number;
  readonly lengthMm: number;
}

/**
 * Default lead-in: 15° from the axis over 20 % of the length, between 0.5 and 2 mm long, and at most a quarter of the
 * wall. An entry centres the mate before it has to grip; a longer one costs gripping length.
 */
export function leadInFor(lengthMm: number, wallMm: number): LeadIn {
  const length = Math.min(2, Math.max(0.5, lengthMm / 5), lengthMm / 3);
  const depth = Math.min(length * Math.tan((15 * Math.PI) / 180), wallMm / 4);
  return { depthMm: Math.max(0, depth), lengthMm: length };
}
