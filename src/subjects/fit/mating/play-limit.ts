import type { PlayLimit } from '@/core/fit/mating';
import type { tables } from '@/store';

type Limited = Pick<typeof tables.joints.$inferSelect, 'kind' | 'mostAngleDeg' | 'mostLateralMm'>;

/** Play that counts as too loose by default: a hinge may wobble two degrees, the others shift half a millimetre. */
export function limitOf({ kind, mostAngleDeg, mostLateralMm }: Limited): PlayLimit {
  if (mostAngleDeg !== null) return { angleRad: (mostAngleDeg * Math.PI) / 180 };
  if (mostLateralMm !== null) return { lateralMm: mostLateralMm };
  return kind === 'hinge' ? { angleRad: (2 * Math.PI) / 180 } : { lateralMm: 0.5 };
}

/** Is the play that was felt more than the joint may have? Play of the other sort says nothing. */
export function isFloppyPlay(
  joint: Limited,
  { playMm, playDeg }: { readonly playMm?: number; readonly playDeg?: number },
): boolean {
  const limit = limitOf(joint);
  return 'angleRad' in limit
    ? playDeg !== undefined && (playDeg * Math.PI) / 180 > limit.angleRad
    : playMm !== undefined && playMm > limit.lateralMm;
}
