/** @jest-environment jsdom */
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReadingInput } from '@/subjects/measure/readings/shared';
import { useDraft } from '../_components/use-draft';
import { type Answer, useReadingQueue } from '../_components/use-reading-queue';
import { useTick } from '../_components/use-tick';

const reading = (clientKey: string): ReadingInput => ({
  clientKey,
  sessionId: 1,
  featureId: 1,
  printId: 7,
  readingMm: 9.5,
  confirmed: false,
});

/** What the bench would answer: one entry a request, undefined for no answer at all. */
let answers: (Answer['result'] | undefined | number)[];
let asked: string[];

beforeEach(() => {
  localStorage.clear();
  answers = [];
  asked = [];
  globalThis.fetch = jest.fn(async (_address: unknown, init?: RequestInit) => {
    asked.push((JSON.parse(String(init?.body)) as ReadingInput).clientKey);
    const answer = answers.shift();
    if (answer === undefined) throw new TypeError('connection lost');
    if (typeof answer === 'number') return { ok: false, status: answer } as Response;
    return { ok: true, json: async () => answer } as unknown as Response;
  }) as typeof fetch;
});

const kept: Answer['result'] = { ok: true, value: { id: 1, elsewhere: 0 } };

function openQueue() {
  const onAnswer = jest.fn<(answer: Answer) => void>();
  const { result, unmount } = renderHook(() => useReadingQueue(7, onAnswer));
  return { queue: result, onAnswer, unmount };
}

describe('the reading queue', () => {
  test('sends readings in the order they were taken, each until it was answered', async () => {
    answers = [kept, kept];
    const { queue, onAnswer } = openQueue();
    act(() => queue.current.add(reading('a')));
    act(() => queue.current.add(reading('b')));
    await waitFor(() => expect(onAnswer).toHaveBeenCalledTimes(2));
    expect(asked).toEqual(['a', 'b']);
    expect(queue.current.waiting).toEqual([]);
    expect(localStorage.getItem('mellow-readings-7')).toBe('[]');
  });

  test('without an answer it keeps what waits on this machine, says so, and sends it again by itself', async () => {
    const { queue, onAnswer } = openQueue();
    act(() => queue.current.add(reading('a')));
    await waitFor(() => expect(queue.current.isCutOff).toBe(true));
    expect(JSON.parse(localStorage.getItem('mellow-readings-7')!)).toMatchObject([{ clientKey: 'a' }]);
    answers = [kept];
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(onAnswer).toHaveBeenCalledTimes(1));
    expect(queue.current.isCutOff).toBe(false);
    expect(new Set(asked)).toEqual(new Set(['a']));
  });

  test('what a reload left waiting is sent by the next page', async () => {
    localStorage.setItem('mellow-readings-7', JSON.stringify([reading('left')]));
    answers = [kept];
    const { onAnswer } = openQueue();
    await waitFor(() => expect(onAnswer).toHaveBeenCalledTimes(1));
    expect(asked).toEqual(['left']);
  });

  test('a bench that cannot just now is asked again; one that refuses is not', async () => {
    answers = [500];
    const { queue, onAnswer } = openQueue();
    act(() => queue.current.add(reading('a')));
    await waitFor(() => expect(queue.current.isCutOff).toBe(true));
    expect(onAnswer).not.toHaveBeenCalled();
    answers = [400];
    await act(() => queue.current.drain());
    expect(onAnswer).toHaveBeenCalledTimes(1);
    expect(onAnswer.mock.calls[0][0].result).toMatchObject({ ok: false, issue: { code: 'gone' } });
    expect(queue.current.waiting).toEqual([]);
  });

  test('damaged notes of an earlier page lose nothing that comes', async () => {
    localStorage.setItem('mellow-readings-7', '{broken');
    answers = [kept];
    const { queue, onAnswer } = openQueue();
    act(() => queue.current.add(reading('a')));
    await waitFor(() => expect(onAnswer).toHaveBeenCalledTimes(1));
  });
});

test('a half-typed field outlives a reload and is forgotten when it is empty', async () => {
  const first = renderHook(() => useDraft('draft'));
  act(() => first.result.current[1]('12.3'));
  first.unmount();
  const { result } = renderHook(() => useDraft('draft'));
  await waitFor(() => expect(result.current[0]).toBe('12.3'));
  act(() => result.current[1](''));
  expect(localStorage.getItem('draft')).toBeNull();
});

test('sound is silent until it is switched on, and is heard at once when it is', () => {
  const started = jest.fn();
  class Context {
    currentTime = 0;
    destination = {};
    createOscillator = () => ({
      frequency: { value: 0 },
      connect: () => ({ connect: () => undefined }),
      start: started,
      stop: () => undefined,
    });
    createGain = () => ({
      gain: { setValueAtTime: () => undefined, exponentialRampToValueAtTime: () => undefined },
      connect: () => undefined,
    });
  }
  (globalThis as { AudioContext?: unknown }).AudioContext = Context;
  const { result } = renderHook(() => useTick());
  result.current.tick(true);
  expect(started).not.toHaveBeenCalled();
  act(() => result.current.toggle());
  expect(started).toHaveBeenCalledTimes(1);
  result.current.tick(true);
  expect(started).toHaveBeenCalledTimes(2);
});
