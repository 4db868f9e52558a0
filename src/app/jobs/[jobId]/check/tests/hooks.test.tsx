/** @jest-environment jsdom */
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { JobPart } from '@/subjects/job/jobs';
import type { CheckAsk } from '@/workers';

class Stopped extends Error {}

interface Waiting {
  readonly answer: (value: unknown) => void;
  readonly refuse: (error: Error) => void;
}

/** A worker that answers each question when the test says so. */
class FakeWorker {
  static made: FakeWorker[] = [];
  readonly waiting = new Map<string, Waiting>();
  isStopped = false;
  constructor() {
    FakeWorker.made.push(this);
  }
  private ask(question: string): Promise<unknown> {
    return new Promise((answer, refuse) => this.waiting.set(question, { answer, refuse }));
  }
  open = (_bytes: Uint8Array, onProgress: (share: number) => void) => {
    onProgress(0.25);
    return this.ask('open');
  };
  glance = () => this.ask('glance');
  read = (_ask: CheckAsk, onProgress: (share: number) => void) => {
    onProgress(0.5);
    return this.ask('read');
  };
  slice = (_reading: unknown, layer: number) => this.ask(`slice ${layer}`);
  stop = () => {
    this.isStopped = true;
    this.waiting.forEach(({ refuse }) => refuse(new Stopped()));
  };
}
const keepFindings = jest.fn<(jobId: number, findings: unknown) => Promise<void>>(async () => undefined);
jest.unstable_mockModule('@/workers', () => ({ CheckWorker: FakeWorker, Stopped }));
jest.unstable_mockModule('../actions', () => ({ keepFindings }));

const { useCheck } = await import('../_components/use-check');
const { useCheckDesk } = await import('../_components/use-check-desk');
const { useSlice } = await import('../_components/use-slice');

const PART = { source: '/api/jobs/1/part', version: 3, key: 'file-3' } as unknown as JobPart;
const ASK = {
  stance: { kind: 'plate' },
  limits: { layerMm: 0.05, layerSeconds: { value: 7, source: 'assumed' } },
  critical: [],
} as unknown as CheckAsk;
const opened = (highMm = 8) => ({
  ok: true,
  value: { check: { bounds: { min: [0, 0, 0], max: [10, 10, highMm] } } },
});
const FINDINGS = [{ code: 'island', layer: 80, atMm: [1, 2, 4] }, { code: 'peel' }];
const glanced = {
  whole: false,
  findings: FINDINGS.slice(0, 1),
  reading: { count: 160, fromMm: 0, heightMm: 0.05 },
};
const whole = { ...glanced, whole: true, findings: FINDINGS };

const worker = () => FakeWorker.made.at(-1)!;

async function answer(question: string, value: unknown) {
  await waitFor(() => expect(worker().waiting.has(question)).toBe(true));
  await act(async () => worker().waiting.get(question)!.answer(value));
}

let fileIsThere: boolean;
beforeEach(() => {
  FakeWorker.made = [];
  keepFindings.mockClear();
  fileIsThere = true;
  globalThis.fetch = jest.fn(async () => ({
    ok: fileIsThere,
    arrayBuffer: async () => new ArrayBuffer(4),
  })) as unknown as typeof fetch;
});

describe('the reading of a part', () => {
  const open = () => renderHook(({ ask }) => useCheck(PART, ask), { initialProps: { ask: ASK } });

  test('tells what it is doing; first findings stand before the slow ones', async () => {
    const { result } = open();
    await waitFor(() => expect(result.current.busy).toEqual({ what: 'Reading the part', share: 0.25 }));
    expect(globalThis.fetch).toHaveBeenCalledWith('/api/jobs/1/part?v=3');
    await answer('open', opened());
    await answer('glance', glanced);
    expect(result.current.found).toBe(glanced);
    expect(result.current.busy).toEqual({ what: 'Reading the layers', share: 0.5 });
    await answer('read', whole);
    expect(result.current.found).toBe(whole);
    expect(result.current.busy).toBeUndefined();
  });

  test('stopped it keeps what was found and says so', async () => {
    const { result } = open();
    await answer('open', opened());
    await answer('glance', glanced);
    await act(async () => result.current.stop());
    expect(worker().isStopped).toBe(true);
    expect(result.current).toMatchObject({ found: glanced, problem: expect.stringContaining('Stopped') });
    expect(result.current.worker).toBeUndefined();
  });

  test('a refresh that asks the same reads nothing anew; another height does', async () => {
    const { rerender } = open();
    await answer('open', opened());
    rerender({ ask: { ...ASK, limits: { ...ASK.limits } } });
    expect(FakeWorker.made).toHaveLength(1);
    const first = worker();
    rerender({ ask: { ...ASK, limits: { ...ASK.limits, layerMm: 0.1 } } });
    expect(first.isStopped).toBe(true);
    expect(FakeWorker.made).toHaveLength(2);
  });

  test('a file that is gone, one that is no part, and one in another unit are told apart', async () => {
    fileIsThere = false;
    const gone = open();
    await waitFor(() => expect(gone.result.current.problem).toContain('part file is missing'));
    gone.unmount();
    fileIsThere = true;
    const broken = open();
    await answer('open', { ok: false, issue: { code: 'notPackage' } });
    expect(broken.result.current.problem).toBeDefined();
    expect(broken.result.current.opened).toBeUndefined();
    broken.unmount();
    const huge = open();
    await answer('open', opened(25_400));
    expect(huge.result.current.problem).toContain('another unit');
    expect(worker().waiting.has('glance')).toBe(false);
  });
});

describe('the contours of a layer', () => {
  test('those of the layer before stand until the new ones have come, and late ones are not shown', async () => {
    const reader = new FakeWorker();
    const { result, rerender } = renderHook(
      ({ layer }) => useSlice(reader as never, glanced.reading as never, layer),
      { initialProps: { layer: 1 } },
    );
    await answer('slice 1', ['one']);
    expect(result.current).toEqual(['one']);
    rerender({ layer: 2 });
    rerender({ layer: 3 });
    expect(result.current).toEqual(['one']);
    await answer('slice 3', ['three']);
    await answer('slice 2', ['two']);
    expect(result.current).toEqual(['three']);
  });

  test('without a reading nothing is asked', () => {
    const reader = new FakeWorker();
    const { result } = renderHook(() => useSlice(reader as never, undefined, 0));
    expect(result.current).toEqual([]);
    expect(reader.waiting.size).toBe(0);
  });
});

describe('the desk', () => {
  async function openDesk() {
    const { result } = renderHook(() => useCheckDesk(9, PART, ASK));
    await answer('open', opened());
    await answer('glance', glanced);
    return result;
  }

  test('findings are kept once, when the reading is whole', async () => {
    await openDesk();
    expect(keepFindings).not.toHaveBeenCalled();
    await answer('read', whole);
    expect(keepFindings).toHaveBeenCalledTimes(1);
    expect(keepFindings).toHaveBeenCalledWith(9, {
      source: 'file-3',
      stance: ASK.stance,
      layerMm: 0.05,
      findings: FINDINGS,
    });
  });

  test('showing a finding goes to its layer; one without a place leaves the layer where it is', async () => {
    const result = await openDesk();
    await answer('read', whole);
    expect(result.current.shown).toBe(159);
    expect(result.current.callouts).toEqual([{ id: 0, label: '1', anchorMm: [1, 2, 4] }]);
    act(() => result.current.show(0));
    expect(result.current).toMatchObject({ active: 0, shown: 80, cut: { atMm: 0.05 * 80.5 } });
    act(() => result.current.show(1));
    expect(result.current).toMatchObject({ active: 1, shown: 80 });
  });
});
