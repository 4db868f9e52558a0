import type { MendEffect } from '@/subjects/job';
import { describeVerdict, formatMm } from '@/subjects/language/shared';
import type { Reopened } from '@/subjects/need';

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

/** What a change of the need opened again. */
export function describeReopened(opened: readonly Reopened[]): string {
  const lines = opened.map((each) => {
    switch (each.code) {
      case 'fits':
        return `The limits of ${each.names.join(', ')} moved with it.`;
      case 'acceptance':
        return 'The acceptance test is open again: its wording changed after it was answered.';
      case 'drawn':
        return `Attempt ${each.attempt} was drawn before this: look at Fit and Correct again.`;
    }
  });
  return ['Kept.', ...lines].join(' ');
}
