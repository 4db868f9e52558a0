import { describeTakenName } from '@/subjects/language/shared';

/** Why a profile was not made. */
export interface ProfileIssue {
  readonly code: 'nameTaken';
  readonly name: string;
}

export function describeProfileIssue({ name }: ProfileIssue): string {
  return describeTakenName(name);
}
