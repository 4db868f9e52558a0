import { describeSignatureFileIssue, type SignatureFileIssue } from './input-signature-json';
import { describeTakenName } from '@/subjects/kit/shared';

/** Why a profile was not made. */
export interface ProfileIssue {
  readonly code: 'nameTaken';
  readonly name: string;
}

export function describeProfileIssue({ name }: ProfileIssue): string {
  return describeTakenName(name);
}

/** Why a signature of another workshop was not imported. */
export type ForeignLawIssue =
  SignatureFileIssue | { readonly code: 'noKin' } | { readonly code: 'hereAlready'; readonly name: string };

export function describeForeignIssue(issue: ForeignLawIssue): string {
  switch (issue.code) {
    case 'noKin':
      return 'choose which printer or which resin it shares with this workshop. Without one of them, its data cannot be used here.';
    case 'hereAlready':
      return `this signature is here already, as ${issue.name}. Remove that one first to change what it shares.`;
    case 'notJson':
    case 'badField':
    case 'noParameter':
    case 'badLaw':
      return `the file: ${describeSignatureFileIssue(issue)}`;
  }
}
