import { keysOf } from '@/core/kit';
import { listAnd } from '@/core/kit/wording';
import type { Practices } from '@/core/workshop';

/** An inspection as text: how it is made, and its two results. */
export interface InspectionWords {
  readonly title: string;
  readonly how: string;
  readonly well: string;
  readonly amiss: string;
}

interface ClearingDefinition {
  readonly words: (practices: Pick<Practices, 'clearVat'>) => InspectionWords;
  readonly caution: string;
}

const SOLIDS_OUT: Readonly<Record<Practices['clearVat'], string>> = {
  sheet:
    'Leave an old support standing in the resin as a handle. Cure one thin layer over the whole screen and lift it out with everything that sticks to it. Then feel along the film with a soft spatula.',
  spatula: 'Feel along the whole film with a soft spatula, and lift out what is loose.',
  pour: 'Pour the vat out through a paper filter. Then look at the empty film and feel along it.',
};

/** After a failure that can have left something in the vat, in this order; each is answered before the next start. */
const CLEARING_DEFINITIONS = {
  solids: {
    words: ({ clearVat }) => ({
      title: 'Remove cured resin from the vat',
      how: SOLIDS_OUT[clearVat],
      well: 'no cured resin is left',
      amiss: 'some is left',
    }),
    caution:
      'Uncured resin: wear nitrile gloves and eye protection, and keep a tray below. Use a soft spatula: a blade cuts the film. The screen shines into the open vat: look away, or wear UV-blocking glasses.',
  },
  plate: {
    words: () => ({
      title: 'Check the plate',
      how: 'No cured resin on it, wiped with fresh solvent, dry.',
      well: 'clean and dry',
      amiss: 'dirty or scratched',
    }),
    caution:
      'Solvent burns. Use no flame, and keep a window open. The edge of a plate cuts: wipe away from yourself.',
  },
  film: {
    words: () => ({
      title: 'Check the film against the light',
      how: 'No dent and no clouding, tight as a drum, and dry below. A drop under it means a hole.',
      well: 'clear and tight',
      amiss: 'dented, cloudy, slack or wet',
    }),
    caution: 'Wear gloves. Empty and wipe the vat, then look through the film, never against the lit screen.',
  },
  filter: {
    words: () => ({
      title: 'Filter the resin back',
      how: 'Filter all the poured-out resin before you reuse it. Crumbs left in it dent the film in the next print.',
      well: 'filtered',
      amiss: 'still dirty',
    }),
    caution: 'Cure paper and filters in daylight before you throw them away, as local rules require.',
  },
} as const satisfies Readonly<Record<string, ClearingDefinition>>;

export type ClearingStep = keyof typeof CLEARING_DEFINITIONS;
export const CLEARING_STEPS = keysOf(CLEARING_DEFINITIONS);

/** A step of clearing a printer by shop practice, and its caution. */
export const clearingOf = (step: ClearingStep): ClearingDefinition => CLEARING_DEFINITIONS[step];

/** What an inspection of a minute looks at, whatever is due. */
export const GLANCE_WORDS = {
  film: 'film clear, tight and dry below',
  plate: 'plate wiped, dry and firm on its arm',
  panel: 'glass clean, no drop on it',
  cover: 'cover closes, lift path clear',
  atHand: 'gloves, paper and filters in stock',
} as const;
export type Glance = keyof typeof GLANCE_WORDS;
export const GLANCES = keysOf(GLANCE_WORDS);

/** What was not OK in an inspection of a printer. */
export const describeGlances = (glances: readonly Glance[]): string =>
  `not OK: ${listAnd(glances.map((glance) => GLANCE_WORDS[glance]))}`;
