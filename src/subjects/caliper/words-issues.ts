import { describeTakenName } from '@/subjects/language/shared';

/** Why an instrument was not put on the bench. */
export interface InstrumentIssue {
  readonly code: 'nameTaken';
  readonly name: string;
}

export function describeInstrumentIssue({ name }: InstrumentIssue): string {
  return describeTakenName(name);
}
