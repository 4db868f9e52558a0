import type { HeightClass, RatesBy, Standing } from './view-rates';

export const BY_WORDS: Readonly<Record<RatesBy, string>> = {
  profile: 'by profile',
  resin: 'by resin',
  standing: 'by support',
  height: 'by height',
};

const CLASS_WORDS: Readonly<Record<Standing | HeightClass, string>> = {
  plate: 'directly on the plate',
  supports: 'on supports',
  inFile: 'on supports in the file',
  mixed: 'mixed',
  low: 'up to 10 mm',
  middle: '10 to 40 mm',
  tall: 'above 40 mm',
};

/** A group as it is called: profiles and resins by their own name. */
export function describeGroup(by: RatesBy, name: string): string {
  return by === 'standing' || by === 'height' ? CLASS_WORDS[name as Standing | HeightClass] : name;
}
