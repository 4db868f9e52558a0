import type { Verdict } from './conformity';
import type { PartState } from './feature';

/** How a print ended, over all its features. */
export type Outcome =
  | { readonly kind: 'notPrinted' }
  | { readonly kind: 'notRead' }
  /** Read, but in another state than that in which the limits hold. */
  | { readonly kind: 'otherState'; readonly read: PartState; readonly counts: PartState }
  | { readonly kind: 'partly'; readonly read: number; readonly of: number }
  | { readonly kind: 'in' }
  | { readonly kind: 'out'; readonly features: readonly string[] }
  | { readonly kind: 'cantTell'; readonly features: readonly string[] };

interface JudgedFeature {
  readonly name: string;
  /** Undefined while it was not read. */
  readonly verdict?: Pick<Verdict, 'kind'>;
  readonly otherState?: { readonly read: PartState; readonly counts: PartState };
}

/** The outcome of one print: out before can't tell, and nothing is *in* while a feature is unread. */
export function outcomeOf(features: readonly JudgedFeature[], printed: boolean): Outcome {
  if (!printed) return { kind: 'notPrinted' };
  const judged = features.filter(({ verdict }) => verdict !== undefined);
  const other = features.find(({ otherState }) => otherState !== undefined)?.otherState;
  if (judged.length === 0)
    return other === undefined ? { kind: 'notRead' } : { kind: 'otherState', ...other };
  const named = (kind: Verdict['kind']) =>
    judged.filter(({ verdict }) => verdict?.kind === kind).map(({ name }) => name);
  if (named('out').length > 0) return { kind: 'out', features: named('out') };
  if (judged.length < features.length) return { kind: 'partly', read: judged.length, of: features.length };
  if (named('cantTell').length > 0) return { kind: 'cantTell', features: named('cantTell') };
  return { kind: 'in' };
}
