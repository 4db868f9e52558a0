import { drawFit, type DrawnFit } from '@/core/fit/mating';
import type { FeatureKind } from '@/core/measure';
import { drawOptions, type JobView } from '@/subjects/job/jobs';

/** A size that is no feature of the job yet: what must be drawn for it here. */
export interface SizeWanted {
  readonly kind: FeatureKind;
  readonly targetMm: number;
  readonly halfMm: number;
}

/** What to draw for sizes on this job's printer and resin; undefined without a profile. */
export function drawSizes(view: JobView, wanted: readonly SizeWanted[]): DrawnFit[] | undefined {
  const { learned } = view;
  if (learned === undefined) return undefined;
  return wanted.map(({ kind, targetMm, halfMm }, i) =>
    drawFit(
      learned.signature,
      { feature: `wanted ${i}`, kind, targetMm, lowerDeviationMm: -halfMm, upperDeviationMm: halfMm },
      drawOptions(view),
    ),
  );
}
