import type { OrientationWorth } from '@/core/part/findings';
import type { HollowWorth, LayerReading } from '@/core/part/layers';
import type { MeshIssue, Point, Progress } from '@/core/part/mesh';
import type { Result } from '@/core/kit';
import type {
  CheckAsk,
  CheckFound,
  ListedFeature,
  RepairedPart,
  OpenedPart,
  PartMeasure,
  TurnedPart,
} from './check-api';
import type { CheckWorkerApi } from './check.worker';
import { StoppableWorker } from './stoppable-worker';

/** A worker that reads one part. */
export class CheckWorker {
  private readonly worker = new StoppableWorker<CheckWorkerApi>(
    new Worker(new URL('./check.worker.ts', import.meta.url), { type: 'module' }),
  );

  open(bytes: Uint8Array<ArrayBuffer>, onProgress: Progress): Promise<Result<OpenedPart, MeshIssue>> {
    return this.worker.askWithProgress(onProgress, async (api, relay) => api.open(bytes, relay));
  }

  hollow(wallMm: number, onProgress: Progress): Promise<HollowWorth> {
    return this.worker.askWithProgress(onProgress, async (api, relay) => api.hollow(wallMm, relay));
  }

  layers(layerMm: number, wallMm?: number): Promise<PartMeasure> {
    return this.worker.ask((api) => api.layers(layerMm, wallMm));
  }

  glance(ask: CheckAsk): Promise<CheckFound> {
    return this.worker.ask((api) => api.glance(ask));
  }

  read(ask: CheckAsk, onProgress: Progress): Promise<CheckFound> {
    return this.worker.askWithProgress(onProgress, (api, relay) => api.read(ask, relay));
  }

  slice(
    { fromMm, heightMm, count }: Pick<LayerReading, 'fromMm' | 'heightMm' | 'count'>,
    layer: number,
  ): Promise<Float64Array[]> {
    return this.worker.ask((api) => api.slice({ fromMm, heightMm, count }, layer));
  }

  listFeatures(): Promise<ListedFeature[]> {
    return this.worker.ask((api) => api.listFeatures());
  }

  featuresAt(place: Point): Promise<number[]> {
    return this.worker.ask((api) => api.featuresAt(place));
  }

  study(ask: CheckAsk, onProgress: Progress): Promise<OrientationWorth[]> {
    return this.worker.askWithProgress(onProgress, (api, relay) => api.study(ask, relay));
  }

  turn(up: Point): Promise<TurnedPart> {
    return this.worker.ask((api) => api.turn(up));
  }

  mend(): Promise<RepairedPart | undefined> {
    return this.worker.ask((api) => api.mend());
  }

  stop(): void {
    this.worker.stop();
  }
}
