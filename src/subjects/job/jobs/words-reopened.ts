import { listAnd } from '@/core/kit/wording';

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
      return `The limits of ${listAnd(each.names)} changed.`;
    case 'acceptance':
      return 'The acceptance test was reopened because its text changed after you answered it.';
    case 'resin':
      return `${each.name} no longer passes. Choose a resin again in Resin.`;
    case 'drawn':
      return `Attempt ${each.attempt} was created before this change. Review Fit and Correct again.`;
    case 'check':
      return 'The check was reopened because the file or the orientation of the part changed.';
  }
}

/** Jobs whose drawn sizes a change of the process opened again. */
export function describeReopenedJobs(names: readonly string[]): string {
  if (names.length === 0) return 'Saved. Some earlier knowledge no longer applies.';
  const sizes =
    names.length === 1
      ? 'has an attempt created before this change'
      : 'have attempts created before this change';
  return `Saved. ${listAnd(names)} ${sizes}. Review Fit and Correct again.`;
}

/** What a change opened again, in sentences; empty where nothing was. */
export function describeReopened(opened: readonly Reopened[]): string {
  return opened.map(describeEach).join(' ');
}
