'use client';

import { useEffect, useSyncExternalStore } from 'react';

const never = () => () => {};

/** Whether this page may notify: an unencrypted one on another device may not. */
function useMayNotify(): boolean {
  return useSyncExternalStore(
    never,
    () => window.isSecureContext && 'Notification' in window,
    () => true,
  );
}

/** Keeps the screen on while something runs, where the browser lets a page do that; asked for again when it is looked at. */
function useAwake(isRunning: boolean): void {
  useEffect(() => {
    if (!isRunning || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    const hold = () => {
      if (document.visibilityState === 'visible')
        void navigator.wakeLock.request('screen').then(
          (held) => (lock = held),
          () => {},
        );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, [isRunning]);
}

/** Keeps the screen awake while timers run, and says what this device cannot do. */
export function CallNote({ isRunning }: { isRunning: boolean }) {
  const mayNotify = useMayNotify();
  useAwake(isRunning);
  if (!isRunning || mayNotify) return null;
  return (
    <p className="mt-1 text-sm text-soft">
      This page is not encrypted, so it cannot send notifications or keep the screen on. Leave the page open
      and the phone awake. It sounds when the time is up.
    </p>
  );
}
