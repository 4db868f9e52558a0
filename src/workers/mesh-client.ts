import type { AnchoredFeature, MeshIssue, Progress, Silhouette } from '@/core/part/mesh';
import type { Result } from '@/core/kit';
import type { CorrectedPart, FileWanted, LoadedPart } from './mesh-api';
import type { MeshWorkerApi } from './mesh.worker';
import { StoppableWorker } from './stoppable-worker';

type Bytes = Uint8Array<ArrayBuffer>;

/** A worker with one part. */
export class MeshWorker {
  private readonly worker = new StoppableWorker<MeshWorkerApi>(
    new Worker(new URL('./mesh.worker.ts', import.meta.url), { type: 'module' }),
  );

  load(bytes: Bytes, onProgress: Progress, name = ''): Promise<Result<LoadedPart, MeshIssue>> {
    return this.worker.askWithProgress(onProgress, async (api, relay) => api.load(bytes, relay, name));
  }

  scaled(by: number): Promise<Bytes> {
    return this.worker.ask((api) => api.scaled(by));
  }

  correct(wanted: FileWanted, features: readonly AnchoredFeature[]): Promise<CorrectedPart> {
    return this.worker.ask((api) => api.correct(wanted, features));
  }

  silhouettes(): Promise<Silhouette[]> {
    return this.worker.ask((api) => api.silhouettes());
  }

  stop(): void {
    this.worker.stop();
  }
}
