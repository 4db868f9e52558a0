import {
  type BlockSize,
  buildGauge,
  gaugeEffort,
  gaugeSpecOf,
  type GaugeEffort,
  type GaugeIssue,
  type GaugeParameters,
} from '@/core/fit/gauges';
import { checkMesh, write3mf, writeStl } from '@/core/part/mesh';
import { fail, ok, type Result } from '@/core/kit';
import type { SolidKernel } from '@/core/fit/solids';

/** A gauge as the page asks for it. */
export interface AskedGauge {
  readonly parameters: GaugeParameters;
  /** Sizes that were chosen for a job, the most telling first; those for usual parts when left out. */
  readonly chosen?: readonly BlockSize[];
  readonly layerMm: number;
}

/** A gauge as files, with what printing it takes. */
export interface BuiltGauge {
  readonly stl: Uint8Array<ArrayBuffer>;
  readonly threeMf: Uint8Array<ArrayBuffer>;
  readonly watertight: boolean;
  readonly effort: GaugeEffort;
}

/** Builds a gauge and writes its files, over the core; refuses what cannot be built with its reason. */
export function buildGaugeFiles(
  kernel: SolidKernel,
  { parameters, chosen, layerMm }: AskedGauge,
): Result<BuiltGauge, GaugeIssue> {
  const mesh = buildGauge(kernel, gaugeSpecOf(parameters, chosen));
  if (!mesh.ok) return fail(mesh.issue);
  const { watertight, volumeMm3 } = checkMesh(mesh.value);
  return ok({
    stl: writeStl(mesh.value),
    threeMf: write3mf(mesh.value),
    watertight,
    effort: gaugeEffort(mesh.value, volumeMm3, layerMm),
  });
}
