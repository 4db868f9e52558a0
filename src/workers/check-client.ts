import { releaseProxy, wrap, type Remote } from 'comlink';
import type { PoseWorth } from '@/core/findings';
import type { LayerReading } from '@/core/layers';
import type { MeshIssue, Point, Progress } from '@/core/mesh';
import type { Result } from '@/core/result';
import type { CheckAsk, CheckFound, ListedFeature, MendedPart, OpenedPart, TurnedPart } from './check-api';
import type { CheckWorkerApi } from './check.worker';
import { MeshStopped } from './mesh-client';
import { withProgress } from './with-progress';

/** A worker that reads one part. Stopping ends it in the middle of its work; it cannot be used again. */
export class CheckWorker {
  private readonly worker = new Worker(new URL('./check.worker.ts', import.meta.url), { type: 'module' });
  private readonly remote: Remote<CheckWorkerApi> = wrap<CheckWorkerApi>(this.worker);
  private giveUp: (reason: Error) => void = () => {};
  private readonly stopped = new Promise<never>((_, reject) => (this.giveUp = reject));

  constructor() {
    this.stopped.catch(() => {});
    this.worker.onerror = (event) => this.giveUp(new Error(event.message));
  }

  private orStopped<Value>(work: Promise<Value>): Promise<Value> {
    return Promise.race([work, this.stopped]);
  }

  open(bytes: Uint8Array<ArrayBuffer>, onProgress: Progress): Promise<Result<OpenedPart, MeshIssue>> {
    return withProgress(onProgress, (relay) => Promise.race([this.remote.open(bytes, relay), this.stopped]));
  }

  glance(ask: CheckAsk): Promise<CheckFound> {
    return this.orStopped(this.remote.glance(ask));
  }

  read(ask: CheckAsk, onProgress: Progress): Promise<CheckFound> {
    return withProgress(onProgress, (relay) => this.orStopped(this.remote.read(ask, relay)));
  }

  slice(
    reading: Pick<LayerReading, 'fromMm' | 'heightMm' | 'count'>,
    layer: number,
  ): Promise<Float64Array[]> {
    const { fromMm, heightMm, count } = reading;
    return this.orStopped(this.remote.slice({ fromMm, heightMm, count }, layer));
  }

  listFeatures(): Promise<ListedFeature[]> {
    return this.orStopped(this.remote.listFeatures());
  }

  featuresAt(place: Point): Promise<number[]> {
    return this.orStopped(this.remote.featuresAt(place));
  }

  study(ask: CheckAsk, onProgress: Progress): Promise<PoseWorth[]> {
    return withProgress(onProgress, (relay) => this.orStopped(this.remote.study(ask, relay)));
  }

  turn(up: Point): Promise<TurnedPart> {
    return this.orStopped(this.remote.turn(up));
  }

  mend(): Promise<MendedPart | undefined> {
    return this.orStopped(this.remote.mend());
  }

  stop(): void {
    this.giveUp(new MeshStopped());
    this.remote[releaseProxy]();
    this.worker.terminate();
  }
}
