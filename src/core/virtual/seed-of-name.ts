/** Any seed will do for a practice printer; taken from its name, so that it is the same machine everywhere. */
export function seedOfName(name: string): number {
  return [...name].reduce((hash, letter) => (Math.imul(hash, 31) + letter.charCodeAt(0)) >>> 0, 7);
}
