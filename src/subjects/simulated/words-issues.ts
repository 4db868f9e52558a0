import { GONE_WORDS } from '@/subjects/kit/shared';

/** Why a simulated device shows nothing. */
export type SimulatedIssue = { readonly code: 'gone' | 'noSimulatedPrinter' | 'jawsDoNotEnter' | 'lost' };

export function describeSimulatedIssue(issue: SimulatedIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'noSimulatedPrinter':
      return 'this printer is not simulated. Read its print with a real caliper.';
    case 'lost':
      return 'this print failed: at that exposure, the layers do not bond.';
    case 'jawsDoNotEnter':
      return 'the jaws do not fit in. The hole closed, or it is smaller than the flats of the jaws.';
  }
}
