'use client';

import { useCallback, useEffect, useSyncExternalStore } from 'react';

const NAME = 'mellow-sound';

let context: AudioContext | undefined;

/** The one way to the loudspeaker; a browser opens it only after a key or a tap. */
function wake(): AudioContext {
  context ??= new AudioContext();
  if (context.state === 'suspended') void context.resume();
  return context;
}

function play(hertz: number): void {
  const speaker = wake();
  const tone = speaker.createOscillator();
  const level = speaker.createGain();
  level.gain.setValueAtTime(0.08, speaker.currentTime);
  level.gain.exponentialRampToValueAtTime(0.001, speaker.currentTime + 0.12);
  tone.frequency.value = hertz;
  tone.connect(level).connect(speaker.destination);
  tone.start();
  tone.stop(speaker.currentTime + 0.13);
}

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
    const options = { once: true, capture: true };
    window.addEventListener('pointerdown', wake, options);
    window.addEventListener('keydown', wake, options);
    return () => {
      window.removeEventListener('pointerdown', wake, options);
      window.removeEventListener('keydown', wake, options);
    };
  }, [isOn]);
  const toggle = useCallback(() => {
    localStorage.setItem(NAME, isOn ? 'off' : 'on');
    window.dispatchEvent(new Event(NAME));
    if (!isOn) play(GOOD_HZ);
  }, [isOn]);
  const tick = useCallback((good: boolean) => isOn && play(good ? GOOD_HZ : ODD_HZ), [isOn]);
  return { isOn, toggle, tick };
}
