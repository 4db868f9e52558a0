/** @jest-environment jsdom */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import type { ResinReasons } from '@/subjects/resin/choice';
import type { ResinRow } from '../_components/resin-row';

const explainResin = jest.fn<(jobId: number, resinId: number) => Promise<ResinReasons | undefined>>();
jest.unstable_mockModule('../../resin/actions', () => ({ explainResin }));
const { useReasons } = await import('../_components/use-reasons');

const row = (id: number, reasons?: ResinReasons) => ({ id, reasons }) as ResinRow;
const OWN = { margins: ['own'] } as unknown as ResinReasons;
const ASKED = { margins: ['asked'] } as unknown as ResinReasons;

beforeEach(() => void explainResin.mockReset());

test('reasons that came with the row are not asked for again', () => {
  const { result } = renderHook(() => useReasons(4));
  act(() => result.current.want(row(1, OWN)));
  expect(result.current.of(row(1, OWN))).toBe(OWN);
  expect(explainResin).not.toHaveBeenCalled();
});

test('those of a late row are asked for once and kept', async () => {
  explainResin.mockResolvedValue(ASKED);
  const { result } = renderHook(() => useReasons(4));
  expect(result.current.of(row(300))).toBeUndefined();
  await act(async () => result.current.want(row(300)));
  expect(result.current.of(row(300))).toBe(ASKED);
  expect(result.current.of(row(301))).toBeUndefined();
  await act(async () => result.current.want(row(300)));
  expect(explainResin).toHaveBeenCalledTimes(1);
  expect(explainResin).toHaveBeenCalledWith(4, 300);
});

test('a resin that is gone meanwhile has no reasons', async () => {
  explainResin.mockResolvedValue(undefined);
  const { result } = renderHook(() => useReasons(4));
  await act(async () => result.current.want(row(300)));
  expect(result.current.of(row(300))).toBeUndefined();
});
