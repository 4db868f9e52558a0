import type { School } from '@/core/resins';

interface SchoolWords {
  readonly title: string;
  readonly sides: Readonly<Record<string, { readonly label: string; readonly reason: string }>>;
}

/** Where practice differs: each side with its reason. */
export const SCHOOL_WORDS: Readonly<Record<School, SchoolWords>> = {
  supportsOff: {
    title: 'Supports come off',
    sides: {
      green: { label: 'green, before the cure', reason: 'soft tips cut clean and leave small marks' },
      cured: {
        label: 'after the cure',
        reason: 'light tips pop off, and the part does not bend under the cutter',
      },
    },
  },
  assemble: {
    title: 'Parts are put together',
    sides: {
      green: { label: 'green', reason: 'they give way and slide in, and do not fuse in the cure' },
      cured: { label: 'cured', reason: 'the fit is judged as it will stay' },
    },
  },
  cure: {
    title: 'Cure',
    sides: {
      short: { label: 'short', reason: 'keeps colour and toughness' },
      long: { label: 'long', reason: 'strength and heat settle, nothing uncured stays inside' },
    },
  },
  cureIn: {
    title: 'Cured in',
    sides: {
      air: { label: 'air', reason: 'no wet part, every station does it' },
      water: { label: 'clear water', reason: 'keeps air off: a harder skin and less yellow' },
    },
  },
  washWith: {
    title: 'Washed with',
    sides: {
      alcohol: { label: 'alcohol', reason: 'what most sheets ask for' },
      water: { label: 'water', reason: 'no solvent in the house, for resins that allow it' },
      washerFluid: {
        label: 'windscreen washer fluid',
        reason: 'cheap alcohol in water, weaker: wash longer',
      },
      soapyWater: { label: 'soapy water', reason: 'gentle on clear parts' },
    },
  },
  mixing: {
    title: 'Resins are used',
    sides: {
      neat: { label: 'neat', reason: 'the sheet holds, and a signature lasts' },
      blended: {
        label: 'blended where it helps',
        reason: 'a property no bottle has, at the price of proving it',
      },
    },
  },
};

export const SIDE_WORDS = { green: 'green', cured: 'after the cure' } as const;
