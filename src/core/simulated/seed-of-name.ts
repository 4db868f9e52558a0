/** Any seed will do for a practice printer; it comes from the name, so the printer is the same everywhere. */
export function seedOfName(name: string): number {
  return [...name].reduce((hash, letter) => (Math.imul(hash, 31) + letter.charCodeAt(0)) >>> 0, 7);
}
