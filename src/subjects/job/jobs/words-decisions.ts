import type { DecisionWords } from '@/subjects/workshop/records/shared';

/** What is decided of a job's features, file and attempts. */
export type JobEntry =
  | {
      readonly code: 'attemptDrawn';
      readonly number: number;
      readonly sizesMm: readonly number[];
      /** Joints printed in place in its file; older lines do not say. */
      readonly joints?: number;
      readonly reason: string;
      readonly readingCount: number;
    }
  | { readonly code: 'partBroughtIn'; readonly name: string }
  | { readonly code: 'featureChanged'; readonly name: string };

/** Sizes of an attempt that are named in its line. */
const MOST_SIZES = 4;

export function describeJobEntry(entry: JobEntry): DecisionWords {
  switch (entry.code) {
    case 'attemptDrawn': {
      const { number, sizesMm, joints = 0, reason, readingCount } = entry;
      const more = sizesMm.length > MOST_SIZES ? ' …' : '';
      const learned =
        readingCount === 0
          ? 'nothing measured yet: assumed for such printers'
          : `from ${readingCount} readings of this profile`;
      return {
        title:
          sizesMm.length === 0
            ? `Attempt ${number} created with ${joints === 1 ? 'its joint' : `${joints} joints`}`
            : `Attempt ${number} drawn ${sizesMm.slice(0, MOST_SIZES).join(' / ')}${more}`,
        detail: reason === '' ? learned : reason,
      };
    }
    case 'partBroughtIn':
      return { title: 'Part file imported', detail: entry.name };
    case 'featureChanged':
      return { title: `${entry.name} changed`, detail: 'type, target, limits or drawn size' };
  }
}
