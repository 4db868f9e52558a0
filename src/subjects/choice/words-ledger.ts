import type { Ranked } from '@/core/resins';
import type { LedgerWords } from '@/subjects/records/shared';
import { describeRanked } from './words-verdict';

/** What is decided of a job's resin. */
export type ChoiceEntry =
  | {
      readonly code: 'strainAsked';
      readonly kind: 'press' | 'snap';
      readonly strain: number;
      readonly elongation: number;
    }
  | {
      readonly code: 'resinChosen';
      readonly resin: string;
      readonly printer: string;
      /** How it stood against what was asked; absent where the shelf no longer had it. */
      readonly found?: Pick<Ranked, 'verdict' | 'checks'>;
      readonly reason: string;
    };

export function describeChoiceEntry(entry: ChoiceEntry): LedgerWords {
  switch (entry.code) {
    case 'strainAsked':
      return {
        title: entry.kind === 'press' ? 'Press fit' : 'Snap',
        detail: `${(entry.strain * 100).toFixed(2)} % strain asks for ${(entry.elongation * 100).toFixed(1)} % at break`,
      };
    case 'resinChosen':
      return {
        title: `${entry.resin} on ${entry.printer}`,
        detail: [entry.found === undefined ? '' : describeRanked(entry.found), entry.reason]
          .filter((text) => text !== '')
          .join('; '),
      };
  }
}
