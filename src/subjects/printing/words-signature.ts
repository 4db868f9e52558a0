import type { ParameterName } from '@/core/signature';

interface ParameterWords {
  readonly title: string;
  /** What to measure when it is not pinned. */
  readonly pin: string;
  /** How the number is shown: per cent, hundredths of a degree … */
  readonly unit: '%' | 'mm' | 'mm²' | 'mm/m';
  readonly factor: number;
}

const PARAMETERS: Readonly<Record<ParameterName, ParameterWords>> = {
  epsilonX: { title: 'Scale error along X', pin: 'measure over 30 mm along X', unit: '%', factor: -100 },
  epsilonY: { title: 'Scale error along Y', pin: 'measure over 30 mm along Y', unit: '%', factor: -100 },
  skew: { title: 'X and Y out of square (skew)', pin: 'measure both diagonals', unit: 'mm/m', factor: 1000 },
  epsilonZ: { title: 'Scale error along Z', pin: 'measure a low and a tall height', unit: '%', factor: -100 },
  edge: { title: 'Edge growth', pin: 'measure a small and a large width', unit: 'mm', factor: 1 },
  insideExtra: {
    title: 'Extra growth of inside edges',
    pin: 'measure slots beside widths',
    unit: 'mm',
    factor: 1,
  },
  roundExtra: {
    title: 'Extra closing of small holes',
    pin: 'measure a small and a large hole',
    unit: 'mm²',
    factor: 1,
  },
  zSupported: {
    title: 'Growth below hanging faces',
    pin: 'measure a height that hangs on supports',
    unit: 'mm',
    factor: 1,
  },
  zPlate: {
    title: 'Change at the plate',
    pin: 'measure a low height that stands on the plate',
    unit: 'mm',
    factor: 1,
  },
  leanX: {
    title: 'Lean of the light along X',
    pin: 'measure the same kind of size left and right on the plate',
    unit: 'mm/m',
    factor: 1000,
  },
  leanY: {
    title: 'Lean of the light along Y',
    pin: 'measure the same kind of size in front and at the back of the plate',
    unit: 'mm/m',
    factor: 1000,
  },
};

export function parameterWords(name: ParameterName): ParameterWords {
  return PARAMETERS[name];
}
