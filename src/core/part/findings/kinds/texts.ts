import { formatMm } from '@/core/kit/wording';
import type { FindingFacts } from '../finding';

export const area = (mm2: number) => `${mm2 < 10 ? mm2.toFixed(2) : Math.round(mm2)} mm²`;

export const volume = (mm3 = 0) =>
  mm3 < 1000 ? `${mm3 < 10 ? mm3.toFixed(1) : Math.round(mm3)} mm³` : `${(mm3 / 1000).toFixed(1)} ml`;

export const place = (at: FindingFacts['atMm']) =>
  at === undefined ? '' : ` at ${at.map((value) => formatMm(value, 1)).join(', ')}`;

export const tips = (tipMm: number | undefined) =>
  tipMm === undefined ? '' : ` with ${formatMm(tipMm, 2)} mm tips, as the resin datasheet asks`;

/** A size and the least it may be. */
export const sizes = ({ measured, limit = 0 }: FindingFacts) =>
  `${formatMm(measured, 2)} mm, minimum ${formatMm(limit, 2)} mm`;
