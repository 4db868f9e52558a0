/** @jest-environment jsdom */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReadingInput } from '@/subjects/measure/readings/shared';
import type { BenchProps } from '../_components/bench-types';
import type { Answer } from '../_components/use-reading-queue';

const refresh = jest.fn();
const takeBack =
  jest.fn<(tapKey: string, jobId: number, printId: number, readingId?: number) => Promise<string>>();
jest.unstable_mockModule('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
jest.unstable_mockModule('../actions', () => ({ takeBack }));
const { useMeasuring } = await import('../_components/use-measuring');

const feature = (id: number, name: string, readings: number) => ({
  id,
  name,
  readings: Array.from({ length: readings }, (_, i) => ({
    id: 10 * id + i,
    clientKey: `key-${10 * id + i}`,
  })),
});
const PROPS = {
  jobId: 4,
  printId: 7,
  features: [feature(1, 'Bore', 2), feature(2, 'Rim', 0), feature(3, 'Height', 3)],
  session: { id: 5, state: 'cured' },
} as unknown as BenchProps;

let sent: ReadingInput[];
let answers: Answer['result'][];
beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  [refresh, takeBack].forEach((mock) => mock.mockReset());
  sent = [];
  answers = [];
  globalThis.fetch = jest.fn(async (_address: unknown, init?: RequestInit) => {
    sent.push(JSON.parse(String(init?.body)) as ReadingInput);
    const answer = answers.shift() ?? { ok: true, value: { id: 99, elsewhere: 0 } };
    return { ok: true, json: async () => answer } as unknown as Response;
  }) as typeof fetch;
});

function sit() {
  const field = { current: document.createElement('input') };
  document.body.append(field.current);
  return { ...renderHook(() => useMeasuring(PROPS, field)), field };
}

test('begins at the first feature that wants a reading; the third reading moves on and the field stays armed', async () => {
  const { result, field } = sit();
  expect(result.current.active.name).toBe('Bore');
  await act(async () => result.current.take('9.48'));
  expect(sent).toMatchObject([
    { featureId: 1, printId: 7, sessionId: 5, readingMm: 9.48, confirmed: false, seenId: 11 },
  ]);
  expect(result.current.active.name).toBe('Rim');
  expect(result.current.counts.get(1)).toBe(3);
  expect(document.activeElement).toBe(field.current);
  expect(refresh).toHaveBeenCalled();
});

test('what was understood beyond a plain number is said; what is no number is kept in the field', async () => {
  const { result } = sit();
  await act(async () => result.current.take('0.375 in'));
  expect(sent[0].readingMm).toBe(9.525);
  expect(result.current.remark?.text).toContain('9.525 mm');
  act(() => result.current.setText('9..5'));
  await act(async () => result.current.take());
  expect(result.current.remark?.isProblem).toBe(true);
  expect(result.current.text).toBe('9..5');
  expect(sent).toHaveLength(1);
});

test('a doubt is asked about; confirmed it is sent again as such, dropped it is not', async () => {
  answers = [
    { ok: false, issue: { code: 'doubt', doubt: { code: 'farFromDrawn' }, readingMm: 95 } },
  ] as never;
  const { result } = sit();
  await act(async () => result.current.take('95'));
  await waitFor(() => expect(result.current.asked?.entry.readingMm).toBe(95));
  await act(async () => result.current.settle(9.5));
  expect(sent[1]).toMatchObject({ featureId: 1, readingMm: 9.5, confirmed: true });
  expect(result.current.asked).toBeUndefined();
  act(() => result.current.settle(9.5));
  expect(sent).toHaveLength(2);
});

test('a reading near the plate is noted with its height', async () => {
  const { result } = sit();
  act(() => result.current.setAtPlate(true));
  await act(async () => result.current.take('9.48'));
  expect(sent[0].heightMm).toBe(0.5);
});

test('another window’s readings are told, and a refusal as a problem', async () => {
  answers = [
    { ok: true, value: { id: 1, elsewhere: 2 } },
    { ok: false, issue: { code: 'notDrawn', feature: 'Rim' } },
  ];
  const { result } = sit();
  await act(async () => result.current.take('9.48'));
  await waitFor(() => expect(result.current.remark?.text).toContain('Another window saved 2'));
  await act(async () => result.current.take('20'));
  await waitFor(() => expect(result.current.remark).toMatchObject({ isProblem: true }));
});

test('taking back waits for what is on its way; a lost connection is said', async () => {
  takeBack.mockResolvedValueOnce('Took back 9.48 of Bore.');
  const { result } = sit();
  await act(async () => result.current.take('9.48'));
  await act(() => result.current.retract());
  expect(takeBack).toHaveBeenCalledWith(expect.any(String), 4, 7, undefined);
  expect(result.current.remark).toEqual({ text: 'Took back 9.48 of Bore.' });
  takeBack.mockRejectedValueOnce(new TypeError('connection lost'));
  await act(() => result.current.retract(31));
  expect(result.current.remark).toMatchObject({ isProblem: true });
});

test('a word of the hand is for the feature that is read; a word refused is told; steps go round the list', async () => {
  answers = [
    { ok: true, value: undefined },
    { ok: false, issue: { code: 'notDrawn', feature: 'Height' } },
  ] as never;
  const { result } = sit();
  act(() => result.current.step(-1));
  expect(result.current.active.name).toBe('Height');
  await act(async () => result.current.say('right'));
  expect(globalThis.fetch).toHaveBeenLastCalledWith('/api/tries', expect.anything());
  expect(sent[0]).toMatchObject({ featureId: 3, word: 'right', state: 'cured', printId: 7 });
  await waitFor(() => expect(result.current.remark?.text).toContain('Height, hand fit: right'));
  await act(async () => result.current.say('rattles'));
  await waitFor(() => expect(result.current.remark).toMatchObject({ isProblem: true }));
  act(() => result.current.step(1));
  expect(result.current.active.name).toBe('Bore');
});

test('a word waits in the browser while the bench does not answer', async () => {
  globalThis.fetch = jest.fn(async () => {
    throw new TypeError('no answer');
  }) as unknown as typeof fetch;
  const { result, unmount } = sit();
  await act(async () => result.current.say('right'));
  unmount();
  expect(JSON.stringify({ ...localStorage })).toContain('"word\\":\\"right');
});

test('near the plate the field stays on its feature until somebody moves on', async () => {
  const { result } = sit();
  await act(async () => result.current.setAtPlate(true));
  for (const typed of ['9.40', '9.41', '9.40']) await act(async () => result.current.take(typed));
  expect(sent.map(({ heightMm }) => heightMm)).toEqual([0.5, 0.5, 0.5]);
  expect(result.current.active.name).toBe('Bore');
  expect(result.current.counts.get(1)).toBe(2);
  await act(async () => result.current.setAtPlate(false));
  await act(async () => result.current.take('9.48'));
  expect(result.current.active.name).toBe('Rim');
});
