import type { GaugeIssue } from '@/core/fit/gauges';
import type { Result } from '@/core/kit';
import type { AskedGauge, BuiltGauge } from './gauge-api';
import type { GaugeWorkerApi } from './gauge.worker';
import { StoppableWorker } from './stoppable-worker';

/** Where this application serves the solid kernel's code from. */
const KERNEL_URL = '/api/kernel';

/** A worker that builds gauges. */
export class GaugeWorker {
  private readonly worker = new StoppableWorker<GaugeWorkerApi>(
    new Worker(new URL('./gauge.worker.ts', import.meta.url), { type: 'module' }),
  );

  build(asked: AskedGauge): Promise<Result<BuiltGauge, GaugeIssue>> {
    const wasmUrl = new URL(KERNEL_URL, location.origin).href;
    return this.worker.ask(async (api) => api.build(wasmUrl, asked));
  }

  stop(): void {
    this.worker.stop();
  }
}
