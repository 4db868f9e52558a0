import { comparePull, type LayerFacts } from '@/core/log';

/** Layer 212: 84 mm², larger than 97 of 100 of its layers; 12 mm² more than the one below */
export function describeLayerFacts({ layer, areaMm2, gainMm2, largerThan }: LayerFacts): string {
  const gained =
    Math.abs(gainMm2) < 0.5
      ? 'as large as the one below'
      : `${Math.abs(gainMm2).toFixed(0)} mm² ${gainMm2 > 0 ? 'more' : 'less'} than the one below`;
  return `Layer ${layer}: ${areaMm2.toFixed(0)} mm², as large as or larger than ${Math.round(100 * largerThan)} of 100 layers; ${gained}`;
}

const TWIN_WORDS = {
  harder:
    'There the plate pulls less at once: that the twin held speaks for the pull, larger layers or a jump, as the cause.',
  easier:
    'There the plate pulls even more: if the twin held, it was hardly the pull; look at supports and at that place of the film.',
  alike:
    'Both pull alike: if the twin held, look at its supports and at that place of the film, not at the height.',
} as const;

/** What it says that a region like it at another height held. */
export const describeTwin = (failed: LayerFacts, twin: LayerFacts): string =>
  TWIN_WORDS[comparePull(failed, twin)];
