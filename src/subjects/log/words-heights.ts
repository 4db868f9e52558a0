import { comparePull, type LayerFacts } from '@/core/log';

/** Layer 212: 84 mm², larger than 97 of 100 of its layers; 12 mm² more than the one below */
export function describeLayerFacts({ layer, areaMm2, gainMm2, largerThan }: LayerFacts): string {
  const gained =
    Math.abs(gainMm2) < 0.5
      ? 'as large as the layer below'
      : `${Math.abs(gainMm2).toFixed(0)} mm² ${gainMm2 > 0 ? 'more' : 'less'} than the layer below`;
  return `Layer ${layer}: ${areaMm2.toFixed(0)} mm², as large as or larger than ${Math.round(100 * largerThan)} of 100 layers; ${gained}`;
}

const TWIN_WORDS = {
  harder:
    'The plate pulls less at that height. If the other region printed well, this points to the pull (large layers or a jump in area) as the cause.',
  easier:
    'The plate pulls even more at that height. If the other region printed well, the pull is unlikely to be the cause. Check the supports and that area of the film.',
  alike:
    'The pull is the same at both heights. If the other region printed well, check its supports and that area of the film, not the height.',
} as const;

/** What it says that a region like it at another height held. */
export const describeTwin = (failed: LayerFacts, twin: LayerFacts): string =>
  TWIN_WORDS[comparePull(failed, twin)];
