import { describeFinding, type Finding, type PrintSetup } from '@/core/part/findings';
import { listAnd } from '@/core/kit/wording';
import type { Axis } from '@/core/measure';
import type { DecisionWords } from '@/subjects/workshop/records/shared';
import { describePrintSetup } from './words-print-setup';

/** Decisions in Check. */
export type CheckEntry =
  | { readonly code: 'stanceSaid'; readonly stance: PrintSetup }
  | { readonly code: 'layersRead'; readonly found: number; readonly couldLose: number }
  | {
      readonly code: 'findingJudged';
      readonly verdict: 'passed' | 'waived' | 'open';
      readonly finding: Finding;
      readonly reason: string;
    }
  | {
      readonly code: 'printed';
      readonly attempt: number;
      readonly again: boolean;
      readonly copies: number;
      /** Findings that could lose it, open when it was printed. */
      readonly open: number;
      readonly reason: string;
    }
  | {
      readonly code: 'partTurned';
      /**
       * Features with a changed direction, and those without a known law in the new orientation; older rows have
       * neither.
       */
      readonly turned?: readonly TurnedFeature[];
      readonly unknown?: readonly string[];
    };

const AXIS_WORDS: Readonly<Record<Axis, string>> = {
  X: 'along X',
  Y: 'along Y',
  Z: 'along Z',
  XY: 'across the plate',
};

const VERDICT_WORDS = { passed: 'Passed', waived: 'Waived', open: 'Reopened' } as const;

export function describeCheckEntry(entry: CheckEntry): DecisionWords {
  switch (entry.code) {
    case 'stanceSaid':
      return { title: `Stands ${describePrintSetup(entry.stance)}`, detail: 'stated before the check' };
    case 'layersRead':
      return {
        title: entry.found === 0 ? 'Layers checked: no findings' : `Layers checked: ${entry.found} findings`,
        detail:
          entry.couldLose === 0
            ? 'none can make the print fail'
            : `${entry.couldLose} could make the print fail`,
      };
    case 'findingJudged':
      return {
        title: `${VERDICT_WORDS[entry.verdict]}: ${describeFinding(entry.finding).title}`,
        detail: entry.reason,
      };
    case 'printed':
      return {
        title: `Attempt ${entry.attempt} printed${entry.again ? ' again' : ''}${entry.copies > 1 ? `, ${entry.copies} copies` : ''}`,
        detail:
          entry.open === 0
            ? ''
            : `with ${entry.open === 1 ? 'a finding' : `${entry.open} findings`} open: ${entry.reason}`,
      };
    case 'partTurned':
      return { title: 'Part turned', detail: describeTurn(entry) };
  }
}

/** A feature that runs another way than before. */
export interface TurnedFeature {
  readonly name: string;
  readonly axis: Axis;
}

interface Turned {
  readonly turned?: readonly TurnedFeature[];
  readonly unknown?: readonly string[];
}

/** What a turn did to the features of a job. */
export function describeTurn({ turned = [], unknown = [] }: Turned): string {
  const sentences = [
    ...turned.map(({ name, axis }) => `${name} now runs ${AXIS_WORDS[axis]}.`),
    unknown.length === 0
      ? ''
      : `${listAnd(unknown)} ${unknown.length === 1 ? 'is' : 'are'} now horizontal or tilted. The signature cannot predict such a size. Measure ${unknown.length === 1 ? 'it' : 'them'}. If the direction is wrong, change it in Need.`,
  ].filter((sentence) => sentence !== '');
  return sentences.length === 0 ? 'Its features turned with it.' : sentences.join(' ');
}
