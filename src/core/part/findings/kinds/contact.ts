import { peaksOf } from '@/core/part/layers';
import { type FindingContext, type FindingDefinition, type FindingFacts, PLAIN } from '../finding';
import { area } from './texts';

/** A first layer below this is a point or an edge: the plate has nothing to hold, mm². Our own estimate. */
const NOTHING_MM2 = 1;
/** Below this share of the area needed, a part is likely to come off, not only possibly. Our own estimate. */
const LIKELY_BELOW = 1 / 3;

/** The first layer of a part that stands on the plate itself, where it is too small for its largest layer. */
function smallFirstLayer({ reading, limits, setup }: FindingContext) {
  if (setup.kind === 'supports') return undefined;
  const { peak, firstMm2 } = peaksOf(reading);
  const least = limits.contactShare * peak.areaMm2;
  return firstMm2 < least ? { firstMm2, least } : undefined;
}

export const STANDS_ON_NOTHING: FindingDefinition = {
  ...PLAIN,
  unit: 'mm²',
  find: (context): FindingFacts[] => {
    const small = smallFirstLayer(context);
    return small === undefined || small.firstMm2 >= NOTHING_MM2
      ? []
      : [{ risk: 'printLost', chance: 'sure', measured: small.firstMm2, limit: small.least, layer: 0 }];
  },
  words: ({ measured }) => ({
    title: `Only ${area(measured)} of the first layer touches the plate`,
    does: 'The plate has nothing to hold. A longer exposure does not help.',
    mend: 'Place the part on a face, sink it into the plate, or put it on supports.',
    changes: 'Supports leave marks. A sunk part prints lower by the sunk height.',
  }),
};

export const SMALL_CONTACT: FindingDefinition = {
  ...PLAIN,
  unit: 'mm²',
  isWorseWhenSmall: true,
  find: (context): FindingFacts[] => {
    const small = smallFirstLayer(context);
    if (small === undefined || small.firstMm2 < NOTHING_MM2) return [];
    const { firstMm2, least } = small;
    const chance = firstMm2 < LIKELY_BELOW * least ? 'likely' : 'possible';
    return [{ risk: 'printLost', chance, measured: firstMm2, limit: least, layer: 0 }];
  },
  words: ({ measured, limit = 0 }) => ({
    title: `Only ${area(measured)} touches the plate; at least ${area(limit)} is needed`,
    does: 'The peel force of larger layers pulls the part off the plate.',
    mend: 'Sink the part into the plate by a few layers, place it on another face, or put it on supports.',
    changes: 'The sunk layers are missing from the height. Add them to the drawing.',
  }),
};
