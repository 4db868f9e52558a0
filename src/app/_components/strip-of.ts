import type { FeatureView } from '@/subjects/job';
import type { StripValues } from '@/ui';

/** Values of a feature's rule strip, as deviations from its target. */
export function stripOf({
  targetMm,
  lowerDeviationMm,
  upperDeviationMm,
  resolutionMm,
  predicted,
  size,
}: FeatureView): StripValues {
  return {
    lowerDeviationMm,
    upperDeviationMm,
    resolutionMm,
    predictedMm: predicted && predicted.meanMm - targetMm,
    predictedHalfMm: predicted && 1.96 * predicted.sdMm,
    measuredMm: size && size.sizeMm - targetMm,
    expandedU_mm: size?.expandedU_mm,
  };
}
