import { type Chain, chainChance, type ChainLink, sizeChain } from '@/core/fit/mating';
import { featureKey, kindOf } from '@/store';
import type { JobView } from '@/subjects/job/jobs';

/** A link of a chain: a feature of the job, or a bought size. */
export type LinkInput =
  | { readonly featureId: number; readonly direction: 1 | -1 }
  | { readonly name: string; readonly sizeMm: number; readonly halfMm: number; readonly direction: 1 | -1 };

export interface ChainView extends Chain {
  /** Chance that the end lies between the limits, where every link is printed. */
  readonly chance?: number;
}

type PrintedLink = ChainLink & { readonly query: NonNullable<ChainLink['query']> };

/** What a chain of sizes leaves at its end; undefined when no link is left. */
export function workOutChain(
  view: JobView,
  inputs: readonly LinkInput[],
  limits?: { readonly lowMm: number; readonly highMm: number },
): ChainView | undefined {
  const links = inputs.flatMap((input): ChainLink[] => {
    if ('name' in input) return [input];
    const feature = view.features.find(({ id }) => id === input.featureId);
    if (feature === undefined) return [];
    const drawn = view.attempts.at(-1)?.drawn.find(({ featureId }) => featureId === feature.id);
    const drawnMm = drawn?.drawnMm ?? feature.targetMm;
    return [
      {
        name: feature.name,
        direction: input.direction,
        sizeMm: feature.targetMm + (feature.lowerDeviationMm + feature.upperDeviationMm) / 2,
        halfMm: (feature.upperDeviationMm - feature.lowerDeviationMm) / 2,
        query: { kind: kindOf(feature), drawnMm, feature: featureKey(feature.id) },
      },
    ];
  });
  if (links.length === 0) return undefined;
  const signature = view.learned?.signature;
  const chain = sizeChain(links, signature);
  const printed = links.every((link): link is PrintedLink => link.query !== undefined);
  const chance =
    signature === undefined || limits === undefined || !printed
      ? undefined
      : chainChance(links as PrintedLink[], signature, limits);
  return { ...chain, chance };
}
