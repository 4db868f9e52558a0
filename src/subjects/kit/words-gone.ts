/** The requested item no longer exists. */
export const GONE_WORDS = 'this no longer exists. Reload the page.';

export function describeTakenName(name: string): string {
  return `the name “${name}” is already used. Choose another name.`;
}
