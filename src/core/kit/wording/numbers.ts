/** Without zeros at the end: 12.5, 3, −0.2. */
export const round = (value: number, digits = 1) => String(Number(value.toFixed(digits))).replace('-', '−');

/** A share as a percentage: 12.5 %. */
export const percent = (share: number) => `${round(share * 100)} %`;

/** Example: 1 finding, 3 findings. */
export const plural = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

/** A duration: 45 min, 2 h 05. */
export function formatMinutes(minutes: number): string {
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
}

/** A length for people: 12.34, with a true minus sign; digits after the point as asked. */
export function formatMm(valueMm: number, digits = 2): string {
  const text = Math.abs(valueMm).toFixed(digits);
  return valueMm < 0 && Number(text) !== 0 ? `−${text}` : text;
}

/** A deviation with its sign: +0.03, −0.03, 0.00. */
export function formatSigned(valueMm: number, digits = 2): string {
  const text = formatMm(valueMm, digits);
  return valueMm > 0 && Number(text) !== 0 ? `+${text}` : text;
}

/** A chance: never a flat 0 or 1. */
export function formatChance(chance: number): string {
  if (chance < 0.005) return '< 1 %';
  if (chance > 0.995) return '> 99 %';
  return `${Math.round(100 * chance)} %`;
}
