/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import type { AskedGauge } from '@/workers';

/** A worker that answers when the test says so. */
class FakeWorker {
  static made: FakeWorker[] = [];
  answer!: (built: unknown) => void;
  refuse!: (error: Error) => void;
  isStopped = false;
  constructor() {
    FakeWorker.made.push(this);
  }
  build = () =>
    new Promise((resolve, reject) => {
      this.answer = resolve;
      this.refuse = reject;
    });
  stop = () => {
    this.isStopped = true;
  };
}
jest.unstable_mockModule('@/workers', () => ({ GaugeWorker: FakeWorker }));
const { useGauge } = await import('../_components/use-gauge');

const gauge = (pinMm: number) =>
  ({
    parameters: { choice: 'hinge', fromMm: 0.1, stepMm: 0.05, count: 9, pinMm },
    layerMm: 0.05,
  }) as AskedGauge;
const BUILT = {
  ok: true,
  value: { stl: new Uint8Array(1), threeMf: new Uint8Array(1), watertight: true, effort: { layers: 200 } },
};

const revoked: string[] = [];
beforeEach(() => {
  jest.useFakeTimers();
  FakeWorker.made = [];
  revoked.length = 0;
  let made = 0;
  URL.createObjectURL = () => `blob:${++made}`;
  URL.revokeObjectURL = (url) => void revoked.push(url);
});
afterEach(() => void jest.useRealTimers());

const open = (first: AskedGauge | undefined) =>
  renderHook(({ asked }) => useGauge(asked), { initialProps: { asked: first } });
const pause = () => act(async () => jest.advanceTimersByTime(300));
const worker = () => FakeWorker.made.at(-1)!;

test('nothing is built while somebody types; then one gauge, the last', async () => {
  const { result, rerender } = open(gauge(5));
  rerender({ asked: gauge(5.5) });
  rerender({ asked: gauge(6) });
  expect(FakeWorker.made).toHaveLength(0);
  await pause();
  expect(FakeWorker.made).toHaveLength(1);
  expect(result.current.kind).toBe('building');
  await act(async () => worker().answer(BUILT));
  expect(result.current).toMatchObject({ kind: 'ready', stlUrl: 'blob:1', threeMfUrl: 'blob:2' });
});

test('another gauge stops the first and gives its files back', async () => {
  const { result, rerender } = open(gauge(5));
  await pause();
  const first = worker();
  await act(async () => first.answer(BUILT));
  rerender({ asked: gauge(6) });
  expect(first.isStopped).toBe(true);
  expect(revoked).toEqual(['blob:1', 'blob:2']);
  await pause();
  await act(async () => worker().answer({ ok: false, issue: { code: 'tooMany' } }));
  expect(result.current).toEqual({ kind: 'refused', issue: { code: 'tooMany' } });
});

test('stopped by hand it says so, and what comes late is not shown', async () => {
  const { result } = open(gauge(5));
  await pause();
  const { current } = result;
  act(() => (current.kind === 'building' ? current.stop() : undefined));
  expect(result.current).toEqual({ kind: 'stopped' });
  await act(async () => worker().answer(BUILT));
  expect(result.current).toEqual({ kind: 'stopped' });
});

test('a worker that breaks is told as a failure; nothing asked builds nothing', async () => {
  const { result } = open(gauge(5));
  await pause();
  await act(async () => worker().refuse(new Error('out of memory')));
  expect(result.current).toEqual({ kind: 'failed' });
  const idle = open(undefined);
  await pause();
  expect(idle.result.current).toEqual({ kind: 'none' });
});
