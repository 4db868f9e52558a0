import type { MendEffect } from '@/services/edit-job';
import { describeVerdict, formatMm } from '@/words';

/** What mending a feature changed in what was already judged. */
export function describeMend(name: string, { before, after }: MendEffect): string {
  if (after?.size === undefined || after.verdict === undefined) return `${name} mended.`;
  const now = `${formatMm(after.size.sizeMm, 3)} mm, ${describeVerdict(after.verdict)}`;
  if (before?.size === undefined || before.verdict === undefined)
    return `${name} mended. It now reads ${now}.`;
  const was = `${formatMm(before.size.sizeMm, 3)} mm, ${describeVerdict(before.verdict)}`;
  return was === now
    ? `${name} mended; its verdict stays: ${now}.`
    : `${name} mended. It was ${was}; it is now ${now}.`;
}
