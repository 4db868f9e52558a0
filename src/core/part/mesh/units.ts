import type { Bounds } from './mesh';

/** Units that a file without one may have been drawn in. */
export const MESH_UNITS = ['mm', 'cm', 'inch', 'm'] as const;
export type MeshUnit = (typeof MESH_UNITS)[number];

/** Millimetres in one of each. */
export const MM_IN: Readonly<Record<MeshUnit, number>> = { mm: 1, cm: 10, inch: 25.4, m: 1000 };

/** A part that one prints in resin and can hold is about so large, mm. */
const [LEAST_MM, MOST_MM] = [4, 400];

/**
 * Units in which a part of this extent would be of a size that is printed, the likeliest first. Millimetres alone where
 * they fit: nobody is asked then.
 */
export function guessUnits({ min, max }: Bounds): MeshUnit[] {
  const extent = Math.max(...[0, 1, 2].map((axis) => max[axis] - min[axis]));
  const fits = (unit: MeshUnit) => extent * MM_IN[unit] >= LEAST_MM && extent * MM_IN[unit] <= MOST_MM;
  if (fits('mm')) return ['mm'];
  const others = MESH_UNITS.filter((unit) => unit !== 'mm' && fits(unit));
  return [...others, 'mm'];
}
