import type { Finding, Stance } from '@/core/findings';
import type { LedgerWords } from '@/subjects/records/shared';
import { describeFinding } from './words-findings';
import { describeStance } from './words-stance';

/** What is decided under Check. */
export type CheckEntry =
  | { readonly code: 'stanceSaid'; readonly stance: Stance }
  | { readonly code: 'layersRead'; readonly found: number; readonly couldLose: number }
  | {
      readonly code: 'findingJudged';
      readonly verdict: 'passed' | 'waived' | 'open';
      readonly finding: Finding;
      readonly reason: string;
    }
  | { readonly code: 'partTurned' };

const VERDICT_WORDS = { passed: 'Passed', waived: 'Waived', open: 'Open again' } as const;

export function describeCheckEntry(entry: CheckEntry): LedgerWords {
  switch (entry.code) {
    case 'stanceSaid':
      return { title: `Stands ${describeStance(entry.stance)}`, detail: 'asked before judging' };
    case 'layersRead':
      return {
        title: entry.found === 0 ? 'Layers read: nothing found' : `Layers read: ${entry.found} found`,
        detail:
          entry.couldLose === 0 ? 'none that loses the print' : `${entry.couldLose} could lose the print`,
      };
    case 'findingJudged':
      return {
        title: `${VERDICT_WORDS[entry.verdict]}: ${describeFinding(entry.finding).title}`,
        detail: entry.reason,
      };
    case 'partTurned':
      return { title: 'Part turned', detail: 'its features’ places went along' };
  }
}
