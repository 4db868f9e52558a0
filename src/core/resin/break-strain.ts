import { Z_95 } from '@/core/kit/numerics';
import { fail, ok, type Result } from '@/core/kit';
import { barStrain, type Bar } from './bar';
import type { BenchLimits } from './bend';

/** A bar bent until it broke, or as far as it would go. */
export interface BreakTest {
  readonly bar: Bar;
  /** Deflection when it broke or when bending was stopped, one per bar tried. */
  readonly deflectionsMm: readonly number[];
  readonly broke: boolean;
  readonly limits: BenchLimits;
}

export interface BreakResult {
  /** Outer-fibre strain, share: the mean of the bars that broke; the least reached where none did. */
  readonly strain: number;
  readonly low: number;
  readonly high: number;
  /** It did not break: the strain is at least this. */
  readonly atLeast: boolean;
  /** Beyond a tenth of the span the formula reads low. */
  readonly deep: boolean;
}

export type BreakIssue = { readonly code: 'barNotPositive' } | { readonly code: 'noDeflection' };

/** Scatter from bar to bar of a brittle break, as a share, until three bars say otherwise. */
const ASSUMED_BAR_SCATTER = 0.15;

/**
 * Strain at break in bending. Breaks scatter from bar to bar by flaws, so that few bars carry a wide interval.
 * Source: ISO 178, outer-fibre strain 6·h·y/L² (three-point), 3·h·y/(2·L²) for a clamped bar.
 * Example: span 64, thickness 4, broke at 6.0 mm on two supports → 3.52 %.
 */
export function strainAtBreak({
  bar,
  deflectionsMm,
  broke,
  limits,
}: BreakTest): Result<BreakResult, BreakIssue> {
  if (![bar.spanMm, bar.widthMm, bar.thicknessMm].every((mm) => mm > 0))
    return fail({ code: 'barNotPositive' });
  if (deflectionsMm.length === 0 || !deflectionsMm.every((mm) => mm > 0))
    return fail({ code: 'noDeflection' });
  const strains = deflectionsMm.map((mm) => barStrain(bar, mm));
  const deep = Math.max(...deflectionsMm) > bar.spanMm / 10;
  const instruments = Math.hypot(
    limits.caliperMm / bar.thicknessMm / Math.sqrt(3),
    (2 * limits.spanMm) / bar.spanMm / Math.sqrt(3),
    limits.caliperMm / Math.min(...deflectionsMm) / Math.sqrt(3),
  );
  if (!broke) {
    const strain = Math.min(...strains) * (1 - Z_95 * instruments);
    return ok({ strain, low: strain, high: strain, atLeast: true, deep });
  }
  const strain = strains.reduce((sum, each) => sum + each, 0) / strains.length;
  const squares = strains.reduce((sum, each) => sum + (each / strain - 1) ** 2, 0);
  const found = strains.length < 3 ? 0 : Math.sqrt(squares / (strains.length - 1));
  const scatter =
    Math.max(found, ASSUMED_BAR_SCATTER / (strains.length < 3 ? 1 : 3)) / Math.sqrt(strains.length);
  const half = Z_95 * strain * Math.hypot(scatter, instruments);
  return ok({ strain, low: Math.max(0, strain - half), high: strain + half, atLeast: false, deep });
}
