/** Limits of numbers; a value beyond them is a typing error or a file of another kind. */
export interface Bounds {
  readonly low: number;
  readonly high: number;
  /** Unit of both, as it is shown; empty for a plain number. */
  readonly unit: string;
}

/** Longest size anybody prints, mm. */
export const LONGEST_MM = 2000;

/** A nanometre: no target, drawn size or reading is smaller. */
const SHORTEST_MM = 1e-6;

/** Bounds of what is measured and drawn, both ends allowed. Every door, form, file or interface, holds the same ones. */
export const BOUNDS = Object.freeze({
  size: { low: SHORTEST_MM, high: LONGEST_MM, unit: 'mm' },
  /** Deviations, limits, a caliper's zero. */
  deviation: { low: -LONGEST_MM, high: LONGEST_MM, unit: 'mm' },
  /** Above the plate. */
  height: { low: 0, high: LONGEST_MM, unit: 'mm' },
  /** On the plate, from its middle. */
  place: { low: -LONGEST_MM / 2, high: LONGEST_MM / 2, unit: 'mm' },
  /** Of parts and instruments. */
  temperature: { low: -50, high: 400, unit: '°C' },
  angle: { low: -360, high: 360, unit: '°' },
}) satisfies Readonly<Record<string, Bounds>>;

/** Largest number that any quantity is typed with, in its own unit. */
export const LARGEST_NUMBER = 1e9;

/** Whether a number lies within bounds; NaN lies in none. */
export function isWithin(value: number, { low, high }: Bounds): boolean {
  return value >= low && value <= high;
}
