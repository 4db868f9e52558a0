import type { Progress } from '@/core/part/mesh';
import type { DayIssue } from '@/core/print';
import type { Result } from '@/core/kit';
import type { AskedDay, PlannedDay } from './day-api';
import type { DayWorkerApi } from './day.worker';
import { StoppableWorker } from './stoppable-worker';

/** A worker that plans a day. */
export class DayWorker {
  private readonly worker = new StoppableWorker<DayWorkerApi>(
    new Worker(new URL('./day.worker.ts', import.meta.url), { type: 'module' }),
  );

  plan(asked: AskedDay, onProgress: Progress): Promise<Result<PlannedDay, DayIssue>> {
    return this.worker.askWithProgress(onProgress, async (api, relay) => api.plan(asked, relay));
  }

  stop(): void {
    this.worker.stop();
  }
}
