import { releaseProxy, wrap, type Remote } from 'comlink';
import type { Progress } from '@/core/part/mesh';
import { withProgress } from './with-progress';

/** The work was ended by somebody, not by a fault. */
export class Stopped extends Error {}

/** A worker whose work can be stopped; pending requests are then refused, and it cannot be used again. */
export class StoppableWorker<Api> {
  private readonly remote: Remote<Api>;
  private isStopped = false;
  private giveUp: (reason: Error) => void = () => {};
  private readonly stopped = new Promise<never>((_, reject) => (this.giveUp = reject));

  constructor(private readonly worker: Worker) {
    this.remote = wrap<Api>(worker);
    this.stopped.catch(() => {});
    worker.onerror = (event) => this.giveUp(new Error(event.message));
  }

  /** Asks the worker for something; refused with `Stopped` if it is stopped in the meantime. */
  ask<Value>(work: (api: Remote<Api>) => Promise<Value>): Promise<Value> {
    return Promise.race([work(this.remote), this.stopped]);
  }

  /** The same with word of how far it is; none comes any more once the answer is there. */
  askWithProgress<Value>(
    onProgress: Progress,
    work: (api: Remote<Api>, relay: Progress) => Promise<Value>,
  ): Promise<Value> {
    return withProgress(onProgress, (relay) => this.ask((api) => work(api, relay)));
  }

  /** Ended already it stays ended. */
  stop(): void {
    if (this.isStopped) return;
    this.isStopped = true;
    this.giveUp(new Stopped());
    (this.remote as { [releaseProxy](): void })[releaseProxy]();
    this.worker.terminate();
  }
}
