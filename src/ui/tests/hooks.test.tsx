/** @jest-environment jsdom */
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, renderHook, waitFor } from '@testing-library/react';
import { ReadableStream } from 'node:stream/web';
import { TextDecoder, TextEncoder } from 'node:util';

// Browsers have it; the stand-in for one does not.
Object.assign(globalThis, { TextDecoder });

const refresh = jest.fn();
jest.unstable_mockModule('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

class Stopped extends Error {}

/** A worker that answers when the test says so. */
class FakeWorker {
  static newest: FakeWorker;
  answer!: (loaded: unknown) => void;
  refuse!: (error: Error) => void;
  isStopped = false;
  constructor() {
    FakeWorker.newest = this;
  }
  load = (_bytes: Uint8Array, onProgress: (share: number) => void) =>
    new Promise((resolve, reject) => {
      onProgress(0.5);
      this.answer = resolve;
      this.refuse = reject;
    });
  stop = () => {
    this.isStopped = true;
    this.refuse?.(new Stopped());
  };
}
jest.unstable_mockModule('@/workers', () => ({ MeshWorker: FakeWorker, Stopped }));

const { usePart } = await import('../viewer/use-part');
const { useTakeFile } = await import('../forms/use-take-file');
const { useNumbers } = await import('../forms/use-numbers');
const { useKeycaps } = await import('../shortcuts/use-keycaps');
const { useInk } = await import('../use-ink');

function answerWith(response: Partial<Response> | Error) {
  globalThis.fetch = jest.fn(async () => {
    if (response instanceof Error) throw response;
    return response as Response;
  }) as typeof fetch;
}

const bytes = { ok: true, arrayBuffer: async () => new ArrayBuffer(4) };

beforeEach(() => {
  localStorage.clear();
  refresh.mockClear();
});

describe('a part that is shown', () => {
  test('tells how far it is, then the part', async () => {
    answerWith(bytes);
    const { result } = renderHook(() => usePart('/part', 1));
    await waitFor(() => expect(result.current).toMatchObject({ kind: 'loading', share: 0.5 }));
    await act(async () => FakeWorker.newest.answer({ ok: true, value: { corners: [] } }));
    expect(result.current).toEqual({ kind: 'ready', part: { corners: [] } });
  });

  test('stopped it says so, and what comes late does not bring it back', async () => {
    answerWith(bytes);
    const { result } = renderHook(() => usePart('/part', 1));
    await waitFor(() => expect(result.current).toMatchObject({ kind: 'loading', share: 0.5 }));
    const { current } = result;
    await act(async () => (current.kind === 'loading' ? current.stop() : undefined));
    expect(FakeWorker.newest.isStopped).toBe(true);
    expect(result.current).toEqual({ kind: 'stopped' });
  });

  test('another file ends the reading of the first', async () => {
    answerWith(bytes);
    const { result, rerender } = renderHook(({ source }) => usePart(source, 1), {
      initialProps: { source: '/one' },
    });
    await waitFor(() => expect(result.current).toMatchObject({ share: 0.5 }));
    const first = FakeWorker.newest;
    rerender({ source: '/two' });
    expect(first.isStopped).toBe(true);
    expect(FakeWorker.newest).not.toBe(first);
  });

  test.each([
    [{ ok: false, status: 404 }, 'part file is missing'],
    [new TypeError('connection lost'), 'Check the connection'],
  ])('what went wrong is said (%#)', async (response, sentence) => {
    answerWith(response);
    const { result } = renderHook(() => usePart('/part', 1));
    await waitFor(() =>
      expect(result.current).toMatchObject({ kind: 'failed', message: expect.stringContaining(sentence) }),
    );
  });
});

describe('a file that is taken in', () => {
  const open = () => renderHook(() => useTakeFile<{ rows: number }>('/api', ({ rows }) => `${rows} rows`));
  const file = new File(['a'], 'a.csv');

  test('says what was taken and reads the page anew', async () => {
    answerWith({ ok: true, json: async () => ({ rows: 3 }) });
    const { result } = open();
    await act(() => result.current.take(file));
    expect(result.current.said).toEqual({ ok: true, text: '3 rows' });
    expect(refresh).toHaveBeenCalledTimes(1);
  });

  test('a refusal is told in the bench’s words, a lost connection in its own', async () => {
    answerWith({ ok: false, json: async () => ({ message: 'line 2: blank' }) } as Partial<Response>);
    const { result } = open();
    await act(() => result.current.take(file));
    expect(result.current.said).toEqual({ ok: false, text: 'line 2: blank' });
    answerWith(new TypeError('connection lost'));
    await act(() => result.current.take(file));
    expect(result.current.said).toMatchObject({
      ok: false,
      text: expect.stringContaining('nothing was imported'),
    });
  });

  /** An answer that comes line by line, as the test lets it. */
  function followed() {
    let send!: (text: string) => void;
    let end!: () => void;
    const body = new ReadableStream<Uint8Array>({
      start(controller) {
        send = (text) => controller.enqueue(new TextEncoder().encode(text));
        end = () => controller.close();
      },
    });
    answerWith({
      ok: true,
      headers: new Headers({ 'Content-Type': 'application/x-ndjson' }),
      body,
    } as unknown as Response);
    return { send: (text: string) => send(text), end: () => end() };
  }

  test('shows how far it is, in whatever pieces the lines come, and last what was taken', async () => {
    const lines = followed();
    const { result } = open();
    act(() => void result.current.take(file));
    await act(async () => lines.send('{"share":0.25}\n{"sha'));
    await waitFor(() => expect(result.current.taking).toEqual({ share: 0.25 }));
    await act(async () => lines.send('re":0.5}\n{"status":200,"body":{"rows":3}}\n'));
    await waitFor(() => expect(result.current.said).toEqual({ ok: true, text: '3 rows' }));
    expect(result.current.taking).toBeUndefined();
  });

  test('a refusal at the end of the lines is told, and lines that end early are a lost connection', async () => {
    let lines = followed();
    const { result } = open();
    act(() => void result.current.take(file));
    await act(async () => lines.send('{"status":400,"body":{"message":"line 7: blank"}}\n'));
    await waitFor(() => expect(result.current.said).toEqual({ ok: false, text: 'line 7: blank' }));
    lines = followed();
    act(() => void result.current.take(file));
    await act(async () => lines.end());
    await waitFor(() => expect(result.current.said?.text).toContain('nothing was imported'));
  });

  test('stopped, it says so and the page is read anew', async () => {
    globalThis.fetch = jest.fn(
      (_address: unknown, { signal }: RequestInit = {}) =>
        new Promise((_, reject) => signal?.addEventListener('abort', () => reject(new Error('aborted')))),
    ) as unknown as typeof fetch;
    const { result } = open();
    act(() => void result.current.take(file));
    await waitFor(() => expect(result.current.taking).toEqual({}));
    await act(async () => result.current.stop());
    await waitFor(() => expect(result.current.said?.text).toContain('Stopped'));
    expect(result.current.taking).toBeUndefined();
    expect(refresh).toHaveBeenCalled();
  });

  test('no file is no question', async () => {
    answerWith(new TypeError('not asked'));
    const { result } = open();
    await act(() => result.current.take(undefined));
    expect(globalThis.fetch).not.toHaveBeenCalled();
  });
});

test('keycaps are learned from the keys that are pressed and remembered', async () => {
  const { result } = renderHook(() => useKeycaps());
  expect(result.current('KeyZ')).toBe('z');
  act(() => void window.dispatchEvent(new KeyboardEvent('keydown', { code: 'KeyZ', key: 'y' })));
  expect(result.current('KeyZ')).toBe('y');
  const next = renderHook(() => useKeycaps());
  await waitFor(() => expect(next.result.current('KeyZ')).toBe('y'));
});

test('the colours of a chart follow the theme', async () => {
  document.documentElement.style.setProperty('--ink', '#2C2926');
  const { result } = renderHook(() => useInk());
  expect(result.current).toBeUndefined();
  await waitFor(() => expect(result.current?.ink).toBe('#2C2926'));
  document.documentElement.style.setProperty('--ink', '#EDE4D3');
  act(() => document.documentElement.setAttribute('data-theme', 'dark'));
  await waitFor(() => expect(result.current?.ink).toBe('#EDE4D3'));
});

describe('numbers typed into a calculator', () => {
  const open = () =>
    renderHook(() =>
      useNumbers({ lengthMm: '12', forceN: '', friction: '0.3' }, { forceN: 'force', friction: 'number' }),
    );
  type Hook = ReturnType<typeof open>['result'];
  const type = (hook: Hook, name: 'lengthMm' | 'forceN' | 'friction', value: string) =>
    act(() => hook.current.field(name).onChange({ target: { value } }));

  test('each is read in the units of its quantity', () => {
    const { result } = open();
    type(result, 'lengthMm', '0.5 in');
    type(result, 'forceN', '2 lbf');
    expect(result.current.valueOf('lengthMm')).toBe(12.7);
    expect(result.current.valueOf('forceN')).toBeCloseTo(8.896, 3);
    type(result, 'forceN', '5 in');
    expect(result.current.valueOf('forceN')).toBeUndefined();
    type(result, 'friction', '0.3 mm');
    expect(result.current.valueOf('friction')).toBeUndefined();
  });

  test('several are there together or not at all', () => {
    const { result } = open();
    expect(result.current.valuesOf('lengthMm', 'friction')).toEqual({ lengthMm: 12, friction: 0.3 });
    expect(result.current.valuesOf('lengthMm', 'forceN')).toBeUndefined();
    type(result, 'forceN', '0');
    expect(result.current.valuesOf('lengthMm', 'forceN')).toEqual({ lengthMm: 12, forceN: 0 });
  });
});
