import { leaveOneOut } from './suspicious';
import { drawTarget, jointChance, type DrawnSize, type Target } from './draw';
import type { ParameterSource, Signature, SignatureOptions, StateShift } from './estimate';
import { PARAMETER_COUNT, PARAMETER_NAMES, PARAMETER_UNITS, type ParameterName } from './law';
import { foretellSamePrint } from './same-print';

/**
 * A signature's description of the process, independent of its data: as short in the fifth year as in the first week.
 */
export interface SignatureSummary {
  readonly parameters: readonly {
    readonly name: ParameterName;
    readonly mean: number;
    readonly sd: number;
    readonly pinned: boolean;
    readonly unit: string;
    readonly from: ParameterSource;
  }[];
  /** Over the parameters, in their order. */
  readonly covariance: readonly (readonly number[])[];
  readonly scatter: { readonly feature_mm: number; readonly print_mm: number };
  /** How much larger sizes are in a state than in the base state, per mm. */
  readonly stateShift: readonly StateShift[];
  readonly instrumentBias: readonly {
    readonly instrument: string;
    readonly jaw: string;
    readonly mean_mm: number;
    readonly sd_mm: number;
  }[];
}

/** The open form of a signature: what the command line prints and the mesh correction reads. */
export interface SignatureReport extends SignatureSummary {
  /** Features of prints that were not read in the state asked about, foretold in it. */
  readonly samePrint: readonly {
    readonly feature: string;
    readonly print: string;
    readonly state: string;
    readonly predicted_mm: number;
    readonly sd_mm: number;
  }[];
  readonly jointInTolerance: number | null;
  readonly features: readonly {
    readonly feature: string;
    readonly print: string;
    readonly drawn_mm: number;
    readonly size_mm: number;
    readonly u_mm: number;
    readonly offset_mm: number;
    readonly predicted_mm: number;
    readonly suspicious: boolean;
  }[];
  readonly targets: readonly {
    readonly feature: string;
    readonly draw_mm: number;
    readonly predicted_mm: number;
    readonly sd_mm: number;
    readonly inTolerance: number;
    readonly reachesBeyond: boolean;
  }[];
  readonly suspicious: readonly {
    readonly line: number;
    readonly feature: string;
    readonly reading_mm: number;
    readonly z: number;
    readonly guess_mm: number | null;
  }[];
}

function targetLine(drawn: DrawnSize) {
  return {
    feature: drawn.feature,
    draw_mm: drawn.drawMm,
    predicted_mm: drawn.predictedMm,
    sd_mm: drawn.sdMm,
    inTolerance: drawn.inTolerance,
    reachesBeyond: drawn.reachesBeyond,
  };
}

/** Returns a signature's description of the process, in the names and units of the open format. */
export function summariseSignature(signature: Signature): SignatureSummary {
  return {
    parameters: signature.parameters.map(({ name, mean, sd, pinned, from }) => ({
      name,
      mean,
      sd,
      pinned,
      unit: PARAMETER_UNITS[name],
      from,
    })),
    covariance: PARAMETER_NAMES.map((_, i) => [
      ...signature.covariance.subarray(i * PARAMETER_COUNT, (i + 1) * PARAMETER_COUNT),
    ]),
    stateShift: signature.shifts,
    scatter: { feature_mm: signature.scatter.featureMm, print_mm: signature.scatter.printMm },
    instrumentBias: signature.biases.map(({ instrument, jaw, meanMm, sdMm }) => ({
      instrument,
      jaw,
      mean_mm: meanMm,
      sd_mm: sdMm,
    })),
  };
}

/**
 * A signature with its targets, left-out predictions and doubts, in the open format's names and units.
 * `uOfSize`: standard uncertainty of a size with everything in it (docs/methods.md §1), mm.
 * `predicted_mm` is what the law and the feature's other prints say without its own readings.
 */
export function reportSignature(
  signature: Signature,
  targets: readonly Target[],
  options: SignatureOptions,
  uOfSize: (observationIndex: number) => number,
): SignatureReport {
  const { suspicious, expected } = leaveOneOut(signature, options);
  const drawn = targets.map((target) => drawTarget(signature, target));
  const joint = jointChance(
    signature,
    drawn.map((each, i) => ({ target: targets[i], drawMm: each.drawMm })),
  );
  return {
    ...summariseSignature(signature),
    samePrint: foretellSamePrint(signature).map(({ feature, print, state, predictedMm, sdMm }) => ({
      feature,
      print,
      state,
      predicted_mm: predictedMm,
      sd_mm: sdMm,
    })),
    jointInTolerance: targets.length === 0 ? null : joint,
    features: signature.observations.map((observation, i) => ({
      feature: observation.feature,
      print: observation.print,
      drawn_mm: observation.drawnMm,
      size_mm: observation.sizeMm,
      u_mm: uOfSize(i),
      offset_mm: observation.sizeMm - observation.drawnMm,
      predicted_mm: expected[i].meanMm,
      suspicious: suspicious.some(({ reading }) => observation.readings.includes(reading)),
    })),
    targets: drawn.map(targetLine),
    suspicious: suspicious.map(({ reading, z, guessMm }) => ({
      line: reading.source ?? 0,
      feature: reading.feature,
      reading_mm: reading.readingMm,
      z,
      guess_mm: guessMm ?? null,
    })),
  };
}
