import type { Ranked } from '@/core/resin';
import type { DecisionWords } from '@/subjects/workshop/records/shared';
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
      /** Its result at that time; missing where the resin no longer existed. */
      readonly found?: Pick<Ranked, 'verdict' | 'checks'>;
      readonly reason: string;
    };

export function describeChoiceEntry(entry: ChoiceEntry): DecisionWords {
  switch (entry.code) {
    case 'strainAsked':
      return {
        title: entry.kind === 'press' ? 'Press fit' : 'Snap',
        detail: `${(entry.strain * 100).toFixed(2)} % strain needs ${(entry.elongation * 100).toFixed(1)} % elongation at break`,
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
