/** @jest-environment jsdom */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { renderHook } from '@testing-library/react';

const playTone = jest.fn();
jest.unstable_mockModule('../_components/speaker', () => ({ playTone, wakeAtNextTouch: () => () => {} }));
const { useCall } = await import('../_components/use-call');

const notified = jest.fn();
class FakeNotification {
  static permission = 'granted';
  constructor(title: string) {
    notified(title);
  }
}

beforeEach(() => {
  localStorage.clear();
  [playTone, notified].forEach((mock) => mock.mockClear());
  Object.assign(window, { Notification: FakeNotification });
  document.title = 'Today';
});

const TIMERS = [
  { id: 4, title: 'Wash: Bushing', endsAt: 1000 },
  { id: 5, title: 'Dry: Rack' },
];

test('a timer that is over calls once by sound and notification, and stands in the title while it is over', () => {
  const { rerender, unmount } = renderHook(({ now }) => useCall(TIMERS, now), { initialProps: { now: 900 } });
  expect(playTone).not.toHaveBeenCalled();
  expect(document.title).toBe('Today');
  for (const now of [1000, 2000, 3000]) rerender({ now });
  expect(playTone).toHaveBeenCalledTimes(3);
  expect(notified.mock.calls).toEqual([['Wash: Bushing']]);
  expect(document.title).toBe('● Wash: Bushing');
  unmount();
  expect(document.title).toBe('Today');
});

test('another window, or the page loaded anew, does not call again', () => {
  renderHook(() => useCall(TIMERS, 2000));
  renderHook(() => useCall(TIMERS, 2500));
  expect(notified).toHaveBeenCalledTimes(1);
  expect(playTone).toHaveBeenCalledTimes(3);
});

test('where the browser may not notify, the sound is all', () => {
  FakeNotification.permission = 'denied';
  renderHook(() => useCall(TIMERS, 2000));
  FakeNotification.permission = 'granted';
  expect(notified).not.toHaveBeenCalled();
  expect(playTone).toHaveBeenCalledTimes(3);
});
