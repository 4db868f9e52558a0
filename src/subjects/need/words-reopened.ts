/** What a change of the need opened again. */
export type Reopened =
  | { readonly code: 'fits'; readonly names: readonly string[] }
  | { readonly code: 'acceptance' }
  | { readonly code: 'resin'; readonly name: string }
  | { readonly code: 'drawn'; readonly attempt: number };

function describeEach(each: Reopened): string {
  switch (each.code) {
    case 'fits':
      return `The limits of ${each.names.join(', ')} moved with it.`;
    case 'acceptance':
      return 'The acceptance test is open again: its wording changed after it was answered.';
    case 'resin':
      return `${each.name} no longer passes: choose again under Resin.`;
    case 'drawn':
      return `Attempt ${each.attempt} was drawn before this: look at Fit and Correct again.`;
  }
}

/** What changed with the need, in sentences. */
export function describeReopened(opened: readonly Reopened[]): string {
  return ['Kept.', ...opened.map(describeEach)].join(' ');
}
