import { describeSignatureFileIssue, type SignatureFileIssue } from './input-signature-json';
import { describeTakenName } from '@/subjects/language/shared';

/** Why a profile was not made. */
export interface ProfileIssue {
  readonly code: 'nameTaken';
  readonly name: string;
}

export function describeProfileIssue({ name }: ProfileIssue): string {
  return describeTakenName(name);
}

/** Why a signature of another shop was not taken in. */
export function describeForeignIssue(issue: SignatureFileIssue | { readonly code: 'noKin' }): string {
  return issue.code === 'noKin'
    ? 'say which printer or which resin it shares with this bench: of one that shares neither nothing can be lent.'
    : `the file: ${describeSignatureFileIssue(issue)}`;
}
