import { formatMm } from '@/core/kit/wording';
import type { SizeEstimate, Verdict } from '@/core/measure';
import type { Reopened } from './words-reopened';
import { describeVerdict } from '@/subjects/kit/shared';

interface Judged {
  readonly size?: SizeEstimate;
  readonly verdict?: Verdict;
}

/** What a change of a feature did to what was already judged. */
export interface FeatureEffect {
  readonly before?: Judged;
  readonly after?: Judged;
  readonly opened: readonly Reopened[];
}

/** The effect of a change in a sentence. */
export function describeFeatureEffect(
  name: string,
  { before, after }: Pick<FeatureEffect, 'before' | 'after'>,
): string {
  if (after?.size === undefined || after.verdict === undefined) return `${name} changed.`;
  const now = `${formatMm(after.size.sizeMm, 3)} mm, ${describeVerdict(after.verdict)}`;
  if (before?.size === undefined || before.verdict === undefined)
    return `${name} changed. It now reads ${now}.`;
  const was = `${formatMm(before.size.sizeMm, 3)} mm, ${describeVerdict(before.verdict)}`;
  return was === now
    ? `${name} changed. Its verdict is still ${now}.`
    : `${name} changed from ${was} to ${now}.`;
}
