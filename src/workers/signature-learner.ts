import type { Worker } from 'node:worker_threads';
import type { DetachedSignature } from '@/core/signature';
import type { SignatureAnswer, SignatureRequest } from './signature-api';

type Work = Omit<SignatureRequest, 'number'>;

interface Waiting {
  readonly work: Work;
  readonly resolve: (learned: DetachedSignature | undefined) => void;
  readonly reject: (error: Error) => void;
}

/**
 * Computes signatures on a thread of its own, one after another. For one profile only the newest request waits: one
 * that is overtaken is answered with undefined. A failed thread is replaced with the next request.
 */
export class SignatureLearner {
  private thread: Worker | undefined;
  private running: (Waiting & { readonly number: number }) | undefined;
  private readonly waiting = new Map<number, Waiting>();
  private number = 0;

  /** `startThread` starts signature.thread.mjs: by whoever is no part of a bundle, since it runs from the sources. */
  constructor(private readonly startThread: () => Worker) {}

  learn(work: Work): Promise<DetachedSignature | undefined> {
    return new Promise((resolve, reject) => {
      this.waiting.get(work.profileId)?.resolve(undefined);
      this.waiting.set(work.profileId, { work, resolve, reject });
      this.next();
    });
  }

  /** Gives up what runs and what waits. */
  stop(): void {
    const thread = this.thread;
    this.thread = undefined;
    for (const { resolve } of [...this.waiting.values(), ...(this.running ? [this.running] : [])])
      resolve(undefined);
    this.waiting.clear();
    this.running = undefined;
    void thread?.terminate();
  }

  private next(): void {
    if (this.running !== undefined) return;
    const [profileId] = this.waiting.keys();
    if (profileId === undefined) return;
    const waiting = this.waiting.get(profileId)!;
    this.waiting.delete(profileId);
    this.running = { ...waiting, number: ++this.number };
    this.thread ??= this.start();
    this.thread.postMessage({ ...waiting.work, number: this.number } satisfies SignatureRequest);
  }

  private start(): Worker {
    const thread = this.startThread();
    thread.unref();
    thread.on('message', ({ number, learned }: SignatureAnswer) => {
      if (this.running?.number !== number) return;
      this.running.resolve(learned);
      this.running = undefined;
      this.next();
    });
    thread.on('error', (error) => this.fail(thread, error));
    thread.on('exit', (code) => this.fail(thread, new Error(`the thread ended with ${code}`)));
    return thread;
  }

  private fail(thread: Worker, error: Error): void {
    if (this.thread !== thread) return;
    this.thread = undefined;
    this.running?.reject(error);
    this.running = undefined;
    this.next();
  }
}
