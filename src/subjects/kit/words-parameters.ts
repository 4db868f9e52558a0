import type { ParameterName } from '@/core/signature';

interface ParameterWords {
  readonly title: string;
  /** What to measure when it is not pinned. */
  readonly pin: string;
  /** Display of the number: per cent, hundredths of a degree … */
  readonly unit: '%' | 'mm' | 'mm²' | 'mm/m';
  readonly factor: number;
}

const PARAMETERS: Readonly<Record<ParameterName, ParameterWords>> = {
  epsilonX: { title: 'Scale error along X', pin: 'measure more than 30 mm along X', unit: '%', factor: -100 },
  epsilonY: { title: 'Scale error along Y', pin: 'measure more than 30 mm along Y', unit: '%', factor: -100 },
  skew: { title: 'X and Y out of square (skew)', pin: 'measure both diagonals', unit: 'mm/m', factor: 1000 },
  epsilonZ: { title: 'Scale error along Z', pin: 'measure a low and a tall height', unit: '%', factor: -100 },
  edge: { title: 'Edge growth', pin: 'measure a small and a large width', unit: 'mm', factor: 1 },
  insideExtra: {
    title: 'Extra growth of inside edges',
    pin: 'measure slots and widths',
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
    title: 'Growth below overhangs',
    pin: 'measure a height that ends on supports',
    unit: 'mm',
    factor: 1,
  },
  zPlate: {
    title: 'Size change near the plate',
    pin: 'measure a small height that stands on the plate',
    unit: 'mm',
    factor: 1,
  },
  leanX: {
    title: 'Exposure gradient along X',
    pin: 'measure the same kind of size at the left and right of the plate',
    unit: 'mm/m',
    factor: 1000,
  },
  leanY: {
    title: 'Exposure gradient along Y',
    pin: 'measure the same kind of size at the front and back of the plate',
    unit: 'mm/m',
    factor: 1000,
  },
};

export function parameterWords(name: ParameterName): ParameterWords {
  return PARAMETERS[name];
}
