import { normalQuantile, studentTQuantile } from '@/core/kit/numerics';
import type { SizeEstimate } from './size';

/** Limit deviations from the target, signed, mm: lower ≤ upper. */
export interface Limits {
  readonly lowerDeviationMm: number;
  readonly upperDeviationMm: number;
}

/** guarded: U must fit inside too (ISO 14253-1); shared: the size alone decides and both sides carry the risk. */
export const DECISION_RULES = ['guarded', 'shared'] as const;
export type DecisionRule = (typeof DECISION_RULES)[number];

/** What would turn "can't tell yet" into an answer. */
export type Settling =
  | { readonly kind: 'repeats'; readonly more: number }
  | { readonly kind: 'instrument'; readonly mpeMm: number }
  | { readonly kind: 'nothing' };

export type Verdict =
  | { readonly kind: 'in'; readonly rule: DecisionRule }
  | {
      readonly kind: 'out';
      readonly side: 'over' | 'under';
      readonly byMm: number;
      readonly rule: DecisionRule;
    }
  | { readonly kind: 'cantTell'; readonly settling: Settling; readonly rule: DecisionRule };

const MOST_REPEATS = 30;
/** Below this limit of error no hand instrument is to be had, mm. */
const FINEST_MPE_MM = 0.001;

/** U that this feature would have after `count` repeats in all, its scatter staying what it is; mm. */
function expandedUAfter(count: number, size: SizeEstimate): number {
  const uA = size.sMm / Math.sqrt(count);
  const u = Math.hypot(uA, size.uTypeB_mm);
  if (uA === 0) return normalQuantile(0.975) * u;
  const dof =
    size.nuEff === Infinity ? Infinity : size.nuEff * (size.uTypeA_mm / size.u_mm) ** 4 + count - size.count;
  return studentTQuantile(0.975, dof * (u / uA) ** 4) * u;
}

/** What would bring U down to `roomMm`. The instrument's own share stays however often one reads. */
function findSettling(size: SizeEstimate, roomMm: number, mpeMm: number): Settling {
  if (roomMm > 0) {
    for (let count = size.count + 1; count <= size.count + MOST_REPEATS; count++) {
      if (expandedUAfter(count, size) <= roomMm) return { kind: 'repeats', more: count - size.count };
    }
  }
  const uAllowed = roomMm / normalQuantile(0.975);
  const withoutMpe = size.uTypeB_mm ** 2 - mpeMm ** 2 / 3 + size.sMm ** 2 / (size.count + MOST_REPEATS);
  const left = uAllowed ** 2 - withoutMpe;
  const mpeNeeded = Math.sqrt(3 * Math.max(0, left));
  return roomMm > 0 && mpeNeeded >= FINEST_MPE_MM
    ? { kind: 'instrument', mpeMm: mpeNeeded }
    : { kind: 'nothing' };
}

/**
 * Returns whether a measured size conforms. *in*: the whole interval size ± U is inside the limits; *out*: completely
 * outside; else *can't tell yet* with what would decide it. Under shared risk the size alone decides. Source: ISO
 * 14253-1:2017 6. Example: target 10, limits ±0.06, size 10.01, U 0.03 → in; U 0.06 → can't tell yet.
 */
export function judgeConformity(
  size: SizeEstimate,
  tolerance: Limits & { readonly targetMm: number },
  mpeMm: number,
  rule: DecisionRule = 'guarded',
): Verdict {
  const halfWidth = (tolerance.upperDeviationMm - tolerance.lowerDeviationMm) / 2;
  if (!(halfWidth >= 0)) throw new RangeError('judgeConformity: upper limit must not lie below the lower');
  const deviation = size.sizeMm - tolerance.targetMm;
  const fromMiddle = deviation - (tolerance.upperDeviationMm + tolerance.lowerDeviationMm) / 2;
  const beyond = Math.abs(fromMiddle) - halfWidth;
  const guard = rule === 'guarded' ? size.expandedU_mm : 0;
  // A display in steps makes sums such as 0.1 + 0.2; a hundredth of a nanometre is not a deviation.
  const rounding = 1e-11;
  if (-beyond + rounding >= guard) return { kind: 'in', rule };
  if (beyond > guard) return { kind: 'out', side: fromMiddle > 0 ? 'over' : 'under', byMm: beyond, rule };
  return { kind: 'cantTell', settling: findSettling(size, Math.abs(beyond), mpeMm), rule };
}
