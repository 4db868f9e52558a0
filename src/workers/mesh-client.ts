import { releaseProxy, wrap, type Remote } from 'comlink';
import type { AnchoredFeature, PartCorrection, MeshIssue, Progress } from '@/core/mesh';
import type { Result } from '@/core/result';
import type { CorrectedPart, LoadedPart } from './mesh-api';
import { withProgress } from './with-progress';
import type { MeshWorkerApi } from './mesh.worker';

export class MeshStopped extends Error {}

/** A worker with one part. Stopping ends it in the middle of its work; it cannot be used again. */
export class MeshWorker {
  private readonly worker = new Worker(new URL('./mesh.worker.ts', import.meta.url), { type: 'module' });
  private readonly remote: Remote<MeshWorkerApi> = wrap<MeshWorkerApi>(this.worker);
  private giveUp: (reason: Error) => void = () => {};
  private readonly stopped = new Promise<never>((_, reject) => (this.giveUp = reject));

  constructor() {
    this.stopped.catch(() => {});
    this.worker.onerror = (event) => this.giveUp(new Error(event.message));
  }

  load(
    bytes: Uint8Array<ArrayBuffer>,
    onProgress: Progress,
    name = '',
  ): Promise<Result<LoadedPart, MeshIssue>> {
    return withProgress(onProgress, (relay) =>
      Promise.race([this.remote.load(bytes, relay, name), this.stopped]),
    );
  }

  scaled(by: number): Promise<Uint8Array<ArrayBuffer>> {
    return Promise.race([this.remote.scaled(by), this.stopped]);
  }

  correct(by: PartCorrection, features: readonly AnchoredFeature[]): Promise<CorrectedPart> {
    return Promise.race([this.remote.correct(by, features), this.stopped]);
  }

  stop(): void {
    this.giveUp(new MeshStopped());
    this.remote[releaseProxy]();
    this.worker.terminate();
  }
}
