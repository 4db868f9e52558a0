'use client';

import { useCallback, useState } from 'react';

const NAME = 'mellow-sound';

function play(hertz: number): void {
  const context = new AudioContext();
  const tone = context.createOscillator();
  const level = context.createGain();
  level.gain.setValueAtTime(0.08, context.currentTime);
  level.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.12);
  tone.frequency.value = hertz;
  tone.connect(level).connect(context.destination);
  tone.start();
  tone.stop(context.currentTime + 0.13);
  tone.onended = () => void context.close();
}

/** One tick when a reading is in, a lower one when it is asked about; silent unless switched on. */
export function useTick() {
  const [isOn, setOn] = useState(false);
  const toggle = useCallback(() => {
    setOn((was) => {
      localStorage.setItem(NAME, was ? 'off' : 'on');
      return !was;
    });
  }, []);
  const tick = useCallback((good: boolean) => isOn && play(good ? 1250 : 420), [isOn]);
  return { isOn, toggle, tick };
}
