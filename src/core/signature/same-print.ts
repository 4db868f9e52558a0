import { mixtureMoments } from '@/core/kit/numerics';
import type { PartState } from '@/core/measure';
import type { Signature } from './estimate';
import { predictSize } from './predict';

/** The size that a feature of a print will have in a state in which it was not read yet. */
interface Foretold {
  readonly feature: string;
  readonly print: string;
  readonly state: PartState;
  readonly predictedMm: number;
  readonly sdMm: number;
}

/**
 * Features of prints that were read in other states only, foretold in the state that is asked about: the same print, so
 * no new drift and no new chance. Example: read green, what it will be when cured.
 */
export function foretellSamePrint(signature: Signature): Foretold[] {
  const { state, observations } = signature;
  const keyOf = ({ feature, print }: { feature: string; print: string }) => JSON.stringify([feature, print]);
  const seen = new Set(observations.filter((each) => each.state === state).map(keyOf));
  return observations.flatMap(({ feature, print, run, kind, drawnMm, place }) => {
    const key = keyOf({ feature, print });
    if (seen.has(key)) return [];
    seen.add(key);
    const { mean, sd } = mixtureMoments(
      predictSize(signature, { feature, print, run, kind, drawnMm, place, state }),
    );
    return [{ feature, print, state, predictedMm: mean, sdMm: sd }];
  });
}
