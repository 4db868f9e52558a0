import type { LayersOfPrint } from '@/core/log';
import type { Db, queries } from '@/store';
import { plateAreas, viewItems } from '@/subjects/print/plate';

/** A run with what was noted as failed of it. */
export interface NotedRun {
  readonly run: queries.Run;
  readonly own: readonly queries.Failure[];
}

/** A failure by its height on the plate, mm. */
export interface FailedHeight {
  readonly runId: number;
  readonly mm: number;
  /** Height of the whole plate. */
  readonly ofMm: number;
}

/** Layers at which something of a run failed, from 1, each once. */
function failedLayers({ run, own }: NotedRun): number[] {
  const noted = own.flatMap(({ layer }) => layer ?? []);
  const layers = noted.length === 0 && run.stoppedLayer !== null ? [run.stoppedLayer] : noted;
  return [...new Set(layers)].filter((layer) => layer >= 1 && layer <= (run.plan?.layers ?? 0));
}

/** At which heights runs failed. */
export function heightsOf(runs: readonly NotedRun[]): FailedHeight[] {
  return runs.flatMap((each) => {
    const { id, plan } = each.run;
    if (plan === null) return [];
    const { layerMm } = plan.program;
    return failedLayers(each).map((layer) => ({
      runId: id,
      mm: layer * layerMm,
      ofMm: plan.layers * layerMm,
    }));
  });
}

/** Prints that are asked whether they fail at one height: their layers are read off their files. */
const MOST_BY_HEIGHT = 12;

/** Layers of the newest prints that failed at a known height, for the questions about it. */
export function layersOf(db: Db, runs: readonly NotedRun[]): LayersOfPrint[] {
  return runs
    .map((each) => ({ run: each.run, failed: failedLayers(each) }))
    .filter(({ failed }) => failed.length > 0)
    .slice(0, MOST_BY_HEIGHT)
    .flatMap(({ run, failed }) => {
      const { layerMm } = run.plan!.program;
      const areasMm2 = plateAreas(viewItems(db, run.id), layerMm)?.all;
      const inside = failed.map((layer) => layer - 1).filter((at) => at < (areasMm2?.length ?? 0));
      return areasMm2 === undefined || inside.length === 0 ? [] : [{ areasMm2, layerMm, failed: inside }];
    });
}
