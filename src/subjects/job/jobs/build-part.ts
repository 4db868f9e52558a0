import Module from 'manifold-3d';
import { buildGauge } from '@/core/fit/gauges';
import { type Mesh, write3mf, writeStl } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { SHEETS } from '@/core/job/sheets';
import { buildSolid, type Profile, profileOf, type SolidKernel, type SolidRecipe } from '@/core/fit/solids';
import { drawnOfPart } from './drawn-sizes';
import type { JobView } from './view-job';

let kernel: Promise<SolidKernel> | undefined;

/** The solid kernel, loaded once. */
export function loadKernel(): Promise<SolidKernel> {
  kernel ??= Module().then((loaded) => {
    loaded.setup();
    return loaded;
  });
  return kernel;
}

/** Builds a part from drawn sizes by feature id. */
async function buildPart(recipe: SolidRecipe, drawnMm: ReadonlyMap<number, number>): Promise<Mesh> {
  return buildSolid(await loadKernel(), recipe, (featureId) => {
    const drawn = drawnMm.get(featureId);
    if (drawn === undefined) throw new RangeError(`buildPart: no drawn size for feature ${featureId}`);
    return drawn;
  });
}

export const PART_FORMATS = ['stl', '3mf'] as const;

export type PartFormat = (typeof PART_FORMATS)[number];

/** Can the program build this job's part from its sizes, or its gauge from its parameters? */
export function canBuild({ job }: Pick<JobView, 'job'>): boolean {
  return job.solid !== null || job.gauge !== null;
}

/** The file of a job's part or gauge; undefined where the program does not build it. */
export async function buildJobFile(
  view: JobView,
  which: 'newest' | 'next',
  format: PartFormat,
): Promise<Uint8Array<ArrayBuffer> | undefined> {
  const { solid, gauge } = view.job;
  if (solid === null && gauge === null) return undefined;
  const mesh =
    solid === null
      ? expectOk(buildGauge(await loadKernel(), gauge!))
      : await buildPart(solid, drawnOfPart(view, which));
  return format === 'stl' ? writeStl(mesh) : write3mf(mesh);
}

/** Returns the outline of a job's part at its drawn sizes, of its solid or of the outline that its measuring sheet defines. */
export function outlineOfJob(view: JobView, which: 'newest' | 'next'): Profile | undefined {
  const drawn = drawnOfPart(view, which);
  const { solid, sheet } = view.job;
  if (solid !== null) return profileOf(solid, (id) => drawn.get(id)!);
  const outline = sheet === null ? undefined : SHEETS[sheet.kind].outline;
  const byName = new Map(view.features.map((feature) => [feature.sheetFeature, drawn.get(feature.id)]));
  if (outline === undefined || view.features.every(({ sheetFeature }) => sheetFeature === null))
    return undefined;
  return outline((feature) => byName.get(feature) ?? 1);
}
