/** What was asked for is not there any more. */
export const GONE_WORDS = 'this no longer exists. Load the page again.';

export function describeTakenName(name: string): string {
  return `the name “${name}” is taken. Choose another one.`;
}
