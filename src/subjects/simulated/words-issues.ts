import { GONE_WORDS } from '@/subjects/language/shared';

/** Why a simulated device shows nothing. */
export type SimulatedIssue =
  { readonly code: 'gone' } | { readonly code: 'noSimulatedPrinter' } | { readonly code: 'jawsDoNotEnter' };

export function describeSimulatedIssue(issue: SimulatedIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'noSimulatedPrinter':
      return 'this printer is a real one: its print is read with a real caliper.';
    case 'jawsDoNotEnter':
      return 'the jaws do not go in: the hole closed, or it is smaller than their flats.';
  }
}
