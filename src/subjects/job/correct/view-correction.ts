import type { FeatureKind } from '@/core/measure';
import { kindOf } from '@/store';
import type { JobView } from '@/subjects/job/jobs';
import type { PartCorrection } from '@/core/part/mesh';
import type { ParameterName } from '@/core/signature';
import type { LearnedSignature } from '@/subjects/signature';

/** What a signature says that a whole file can be corrected for. */
export function correctionFrom({ signature }: LearnedSignature): PartCorrection {
  const meanOf = (name: ParameterName) =>
    signature.parameters.find((parameter) => parameter.name === name)!.mean;
  return {
    epsilonX: meanOf('epsilonX'),
    epsilonY: meanOf('epsilonY'),
    epsilonZ: meanOf('epsilonZ'),
    skew: meanOf('skew'),
    edgeMm: meanOf('edge'),
    insideMm: meanOf('insideExtra'),
    roundMm2: meanOf('roundExtra'),
    zSupportedMm: meanOf('zSupported'),
    zPlateMm: meanOf('zPlate'),
  };
}

/** A feature that has its place on the part, so that the corrected file can be measured there. */
interface AnchoredFeature {
  readonly id: number;
  readonly name: string;
  readonly kind: FeatureKind;
  readonly anchorMm: readonly [number, number, number];
}

/** Features that can be measured on the file; centre distances have no one place. */
export function listAnchored({ features }: JobView): AnchoredFeature[] {
  return features.flatMap((feature) =>
    feature.anchor === null || feature.sense === 'pitch'
      ? []
      : { id: feature.id, name: feature.name, kind: kindOf(feature), anchorMm: feature.anchor },
  );
}
