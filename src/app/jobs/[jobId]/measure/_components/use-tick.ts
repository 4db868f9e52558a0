'use client';

import { useCallback, useEffect, useSyncExternalStore } from 'react';
import { playTone, wakeAtNextTouch } from '@/app/_components/speaker';

const NAME = 'mellow-sound';

const SECONDS = 0.12;

function subscribe(onChange: () => void) {
  window.addEventListener('storage', onChange);
  window.addEventListener(NAME, onChange);
  return () => {
    window.removeEventListener('storage', onChange);
    window.removeEventListener(NAME, onChange);
  };
}

const GOOD_HZ = 1250;
const ODD_HZ = 420;

/** One tick when a reading is in, a lower one when it is asked about; silent unless switched on, which is remembered. */
export function useTick() {
  const isOn = useSyncExternalStore(
    subscribe,
    () => localStorage.getItem(NAME) === 'on',
    () => false,
  );
  useEffect(() => {
    if (!isOn) return;
    // Switched on in an earlier sitting: the first key or tap of this one opens the loudspeaker.
    return wakeAtNextTouch();
  }, [isOn]);
  const toggle = useCallback(() => {
    localStorage.setItem(NAME, isOn ? 'off' : 'on');
    window.dispatchEvent(new Event(NAME));
    if (!isOn) playTone({ hertz: GOOD_HZ, seconds: SECONDS });
  }, [isOn]);
  const tick = useCallback(
    (good: boolean) => isOn && playTone({ hertz: good ? GOOD_HZ : ODD_HZ, seconds: SECONDS }),
    [isOn],
  );
  return { isOn, toggle, tick };
}
