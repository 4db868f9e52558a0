/** What was asked for is not there any more. */
export const GONE_WORDS = 'this is no longer on the bench. Load the page again to see what is.';

export function describeTakenName(name: string): string {
  return `the name “${name}” is taken. Choose another one.`;
}
