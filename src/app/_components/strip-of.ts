import { halfWidth95 } from '@/core/kit/numerics';
import type { FeatureView } from '@/subjects/job/jobs';
import type { StripValues } from '@/ui';

/** Values of a feature's rule strip, as deviations from its target. */
export function stripOf({
  targetMm,
  lowerDeviationMm,
  upperDeviationMm,
  resolutionMm,
  predicted,
  size,
  converted,
}: FeatureView): StripValues {
  // What is judged: in the state in which the limits hold.
  const judged = converted?.size ?? size;
  return {
    lowerDeviationMm,
    upperDeviationMm,
    resolutionMm,
    predictedMm: predicted && predicted.meanMm - targetMm,
    predictedHalfMm: predicted && halfWidth95(predicted.sdMm),
    measuredMm: judged && judged.sizeMm - targetMm,
    expandedU_mm: judged?.expandedU_mm,
  };
}
