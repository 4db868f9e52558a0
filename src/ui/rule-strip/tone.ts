import type { Verdict } from '@/core/measure';
import type { StripTone } from './rule-strip';

/** The tone in which a verdict is drawn. */
export function toneOf(verdict: Verdict | undefined): StripTone {
  if (verdict === undefined) return 'none';
  if (verdict.kind === 'in') return 'in';
  return verdict.kind === 'out' ? verdict.side : 'unsure';
}
