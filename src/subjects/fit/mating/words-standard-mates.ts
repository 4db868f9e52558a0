import {
  BEARING_UNDER_MM,
  BEARINGS,
  DOWEL_PINS_MM,
  dowelPinMate,
  mateWithin,
  NUT_FLATS_UNDER_MM,
  NUTS,
} from '@/core/fit/mating';
import type { Sense, Shape } from '@/core/measure';

/** A bought part whose size its standard gives, as a mate to start from. */
interface StandardMate {
  readonly label: string;
  readonly name: string;
  readonly sizeMm: number;
  readonly u_mm: number;
}

/** Bought parts that may meet a feature of this kind, with the sizes that their standards allow. */
export function listStandardMates(sense: Sense, shape: Shape): StandardMate[] {
  const mate = (label: string, lowMm: number, highMm: number): StandardMate => ({
    label,
    name: label,
    ...mateWithin(lowMm, highMm),
  });
  if (sense === 'inside' && shape === 'flat')
    return NUTS.map(({ thread, flatsMm }) =>
      mate(`Nut ${thread}, across flats (ISO 4032)`, flatsMm - NUT_FLATS_UNDER_MM, flatsMm),
    );
  if (sense === 'inside')
    return [
      ...BEARINGS.map(({ boreMm, outerMm, widthMm }) =>
        mate(
          `Bearing ${boreMm} × ${outerMm} × ${widthMm}, outside (ISO 15)`,
          outerMm - BEARING_UNDER_MM,
          outerMm,
        ),
      ),
      ...DOWEL_PINS_MM.map((mm) => {
        const label = `Dowel pin ${mm} m6 (ISO 2338)`;
        return { label, name: label, ...dowelPinMate(mm) };
      }),
    ];
  return [...new Set(BEARINGS.map(({ boreMm }) => boreMm))].map((boreMm) =>
    mate(`Bearing bore ${boreMm} (ISO 15)`, boreMm - BEARING_UNDER_MM, boreMm),
  );
}
