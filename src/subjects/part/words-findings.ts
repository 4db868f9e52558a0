import { formatMinutes, formatMm } from '@/core/kit/wording';
import { type Clock, describeFinding, type Finding, momentOf } from '@/core/part/findings';

/** Where a finding is: the printer's layer, its height above the plate and the time from the start. */
export function describeWhere({ layer, toLayer }: Finding, clock: Clock): string | undefined {
  if (layer === undefined) return undefined;
  const { printed, heightMm, minutes } = momentOf(layer, clock);
  const last = toLayer === undefined ? printed : momentOf(toLayer, clock).printed;
  const layers = last === printed ? `layer ${printed}` : `layers ${printed}–${last}`;
  return `${layers}, ${formatMm(heightMm, 2)} mm high, ${formatMinutes(Math.round(minutes))} after the start`;
}

/** A finding that was decided, in its title; of old ones the words that were kept. */
export function describeDecided(
  finding: Finding | { readonly code: 'told'; readonly title: string },
): string {
  return finding.code === 'told' ? finding.title : describeFinding(finding).title;
}
