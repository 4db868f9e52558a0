import { releaseProxy, wrap, type Remote } from 'comlink';
import type { GaugeIssue } from '@/core/gauges';
import type { Result } from '@/core/result';
import type { AskedGauge, BuiltGauge } from './gauge-api';
import type { GaugeWorkerApi } from './gauge.worker';

/** Where this application serves the solid kernel's code from. */
const KERNEL_URL = '/api/kernel';

/** A worker that builds gauges; stopping ends it in the middle of its work. */
export class GaugeWorker {
  private readonly worker = new Worker(new URL('./gauge.worker.ts', import.meta.url), { type: 'module' });
  private readonly remote: Remote<GaugeWorkerApi> = wrap<GaugeWorkerApi>(this.worker);
  private giveUp: (reason: Error) => void = () => {};
  private readonly stopped = new Promise<never>((_, reject) => (this.giveUp = reject));

  constructor() {
    this.stopped.catch(() => {});
    this.worker.onerror = (event) => this.giveUp(new Error(event.message));
  }

  build(asked: AskedGauge): Promise<Result<BuiltGauge, GaugeIssue>> {
    const wasmUrl = new URL(KERNEL_URL, location.origin).href;
    return Promise.race([this.remote.build(wasmUrl, asked), this.stopped]);
  }

  stop(): void {
    this.giveUp(new Error('stopped'));
    this.remote[releaseProxy]();
    this.worker.terminate();
  }
}
