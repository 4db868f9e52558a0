import { mixtureInterval, mixtureMoments } from '@/core/kit/numerics';
import { predictCombination, type Signature, type SizeQuery } from '@/core/signature';

/** One size in a chain: +1 when it opens the gap at the end, −1 when it closes it. */
export interface ChainLink {
  readonly name: string;
  readonly direction: 1 | -1;
  readonly sizeMm: number;
  /** Half of its tolerance, mm: the worst it may do. */
  readonly halfMm: number;
  /** A feature of the same print, for the joint distribution. */
  readonly query?: SizeQuery;
}

interface ChainShare {
  readonly name: string;
  /** Share of the likely spread, 0 to 1. */
  readonly share: number;
}

export interface Chain {
  readonly gapMm: number;
  /** Σ|t|: nothing can exceed it. */
  readonly worstMm: number;
  /** √Σt²: when the sizes err independently. */
  readonly likelyMm: number;
  /** From the signature, where every link is printed: sizes of one print err together. */
  readonly joint?: { readonly meanMm: number; readonly sdMm: number };
  /** Largest first. */
  readonly shares: readonly ChainShare[];
}

/**
 * What a chain of sizes leaves at its end. Throws RangeError for an empty chain.
 * Source: A. Fortini, Dimensioning for Interchangeable Manufacture (1967). Example: ±0.1 and ±0.2 → worst 0.3, likely 0.224.
 */
export function sizeChain(links: readonly ChainLink[], signature?: Signature): Chain {
  if (links.length === 0) throw new RangeError('sizeChain: at least one link is needed');
  const gapMm = links.reduce((sum, { direction, sizeMm }) => sum + direction * sizeMm, 0);
  const worstMm = links.reduce((sum, { halfMm }) => sum + Math.abs(halfMm), 0);
  const squares = links.reduce((sum, { halfMm }) => sum + halfMm ** 2, 0);
  const shares = links
    .map(({ name, halfMm }) => ({ name, share: squares === 0 ? 1 / links.length : halfMm ** 2 / squares }))
    .sort((a, b) => b.share - a.share);
  const terms = links.flatMap(({ query, direction }) =>
    query === undefined ? [] : { query, factor: direction },
  );
  if (signature === undefined || terms.length < links.length)
    return { gapMm, worstMm, likelyMm: Math.sqrt(squares), shares };
  const { mean, sd } = mixtureMoments(predictCombination(signature, terms));
  return { gapMm, worstMm, likelyMm: Math.sqrt(squares), joint: { meanMm: mean, sdMm: sd }, shares };
}

/** Chance that the gap at the end of a printed chain lies between limits. */
export function chainChance(
  links: readonly (ChainLink & { readonly query: SizeQuery })[],
  signature: Signature,
  limits: { readonly lowMm: number; readonly highMm: number },
): number {
  const terms = links.map(({ query, direction }) => ({ query, factor: direction }));
  return mixtureInterval(predictCombination(signature, terms), limits.lowMm, limits.highMm);
}
