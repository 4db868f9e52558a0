import { afterEach, describe, expect, test } from '@jest/globals';
import { expose, type Endpoint } from 'comlink';
import { MessageChannel } from 'node:worker_threads';
import { Stopped, StoppableWorker } from '../stoppable-worker';

interface Api {
  add(a: number, b: number): number;
  never(): Promise<void>;
  count(relay: (share: number) => void): Promise<string>;
}

/** One port of a channel as a page's worker: events, messages, an end. */
function endpointOf(port: MessageChannel['port1']) {
  const heard = new Map<unknown, (data: unknown) => void>();
  return {
    postMessage: (message: unknown, transfer: never[] = []) => port.postMessage(message, transfer),
    addEventListener: (_: string, listener: (event: { data: unknown }) => void) => {
      const hear = (data: unknown) => listener({ data });
      heard.set(listener, hear);
      port.on('message', hear);
    },
    removeEventListener: (_: string, listener: unknown) => port.off('message', heard.get(listener)!),
    start: () => port.start(),
    terminate: () => port.close(),
    onerror: undefined as ((event: { message: string }) => void) | undefined,
  };
}

const ends: (() => void)[] = [];
afterEach(() => ends.splice(0).forEach((end) => end()));

function startWorker() {
  const { port1, port2 } = new MessageChannel();
  const api: Api = {
    add: (a, b) => a + b,
    never: () => new Promise(() => {}),
    count: async () => 'done',
  };
  expose(api, endpointOf(port2) as unknown as Endpoint);
  ends.push(
    () => port1.close(),
    () => port2.close(),
  );
  const page = endpointOf(port1);
  return { page, worker: new StoppableWorker<Api>(page as unknown as Worker) };
}

describe('a worker that can be stopped', () => {
  test('answers what it is asked', async () => {
    const { worker } = startWorker();
    expect(await worker.ask((api) => api.add(2, 3))).toBe(5);
  });

  test('ended in the middle of its work it refuses with a stop, not with a fault', async () => {
    const { worker } = startWorker();
    const asked = worker.ask((api) => api.never());
    worker.stop();
    await expect(asked).rejects.toBeInstanceOf(Stopped);
  });

  test('a fault in it refuses whatever waits, and is no stop', async () => {
    const { worker, page } = startWorker();
    const asked = worker.ask((api) => api.never());
    page.onerror?.({ message: 'out of memory' });
    await expect(asked).rejects.toThrow('out of memory');
    await expect(asked).rejects.not.toBeInstanceOf(Stopped);
  });
});
