import type { Stock } from '@/core/log';
import { describeTakenName, GONE_WORDS } from '@/subjects/kit/shared';

export type StockIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'nameTaken'; readonly name: string }
  | { readonly code: 'changed'; readonly name: string };

export function describeStockIssue(issue: StockIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'nameTaken':
      return describeTakenName(issue.name);
    case 'changed':
      return `${issue.name} was counted in another window in the meantime. Reload the page to see that count.`;
  }
}

/** 70 pairs left, for 23 prints; order now: it runs out before more has come in 12 of 100 */
export function describeStock(
  { left, printsLeft, runOut, isDue }: Stock,
  { unit, leadDays }: { readonly unit: string; readonly leadDays: number },
): string {
  // Calculated from prints: as precise as it is known.
  const much = `${left < 10 ? left.toFixed(1) : Math.round(left)} ${unit} left`;
  const lasts =
    printsLeft === Infinity ? '' : `, for ${printsLeft === 1 ? 'one print' : `${printsLeft} prints`}`;
  if (!isDue) return `${much}${lasts}`;
  const days = leadDays === 1 ? 'a day' : `${leadDays} days`;
  return `${much}${lasts}. Order now: delivery takes ${days}, and the chance of running out before is ${Math.max(1, Math.round(100 * runOut))} in 100`;
}
