import { listAnd } from '@/subjects/language/shared';

/** What a change upstream opened again. */
export type Reopened =
  | { readonly code: 'fits'; readonly names: readonly string[] }
  | { readonly code: 'acceptance' }
  | { readonly code: 'resin'; readonly name: string }
  | { readonly code: 'drawn'; readonly attempt: number }
  | { readonly code: 'check' };

function describeEach(each: Reopened): string {
  switch (each.code) {
    case 'fits':
      return `The limits of ${listAnd(each.names)} moved.`;
    case 'acceptance':
      return 'The acceptance test is open again: its wording changed after it was answered.';
    case 'resin':
      return `${each.name} no longer passes: choose again under Resin.`;
    case 'drawn':
      return `Attempt ${each.attempt} was drawn before this: look at Fit and Correct again.`;
    case 'check':
      return 'The check is open again: it was of another file, or of the part standing another way.';
  }
}

/** Jobs whose drawn sizes a change of the process opened again. */
export function describeReopenedJobs(names: readonly string[]): string {
  if (names.length === 0) return 'Noted. From here on less is taken as known.';
  const sizes = names.length === 1 ? 'was drawn before this' : 'were drawn before this';
  return `Noted. ${listAnd(names)} ${sizes}: look at Fit and Correct again.`;
}

/** What a change opened again, in sentences; empty where nothing was. */
export function describeReopened(opened: readonly Reopened[]): string {
  return opened.map(describeEach).join(' ');
}
