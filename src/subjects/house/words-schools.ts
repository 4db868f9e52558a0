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
      green: { label: 'green, before the cure', reason: 'soft tips cut cleanly and leave small marks' },
      cured: {
        label: 'after the cure',
        reason: 'light tips snap off, and the part does not bend under the cutter',
      },
    },
  },
  assemble: {
    title: 'Parts are put together',
    sides: {
      green: { label: 'green', reason: 'they give and slide together, and do not fuse during the cure' },
      cured: { label: 'cured', reason: 'the fit you feel is the fit that stays' },
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
      air: { label: 'air', reason: 'the part stays dry, and every curing station does it' },
      water: { label: 'clear water', reason: 'keeps air off: a harder skin and less yellow' },
    },
  },
  washWith: {
    title: 'Washed with',
    sides: {
      alcohol: { label: 'alcohol', reason: 'what most sheets ask for' },
      water: { label: 'water', reason: 'no solvent needed, for resins that allow it' },
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
      neat: { label: 'neat', reason: 'the datasheet applies, and the signature stays valid' },
      blended: {
        label: 'blended where it helps',
        reason: 'gives a property that no bottle has, but you have to prove it',
      },
    },
  },
};

export const SIDE_WORDS = { green: 'green', cured: 'after the cure' } as const;
