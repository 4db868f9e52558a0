import { GONE_WORDS } from '@/subjects/language/shared';

/** Why a simulated device shows nothing. */
export type SimulatedIssue = { readonly code: 'gone' | 'noSimulatedPrinter' | 'jawsDoNotEnter' | 'lost' };

export function describeSimulatedIssue(issue: SimulatedIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'noSimulatedPrinter':
      return 'this printer is a real one: its print is read with a real caliper.';
    case 'lost':
      return 'this print is lost: at that exposure a layer does not hold to the one before it.';
    case 'jawsDoNotEnter':
      return 'the jaws do not go in: the hole closed, or it is smaller than their flats.';
  }
}
