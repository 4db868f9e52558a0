let context: AudioContext | undefined;

/** The one way to the loudspeaker; a browser opens it only after a key or a tap. */
function wake(): AudioContext {
  context ??= new AudioContext();
  if (context.state === 'suspended') void context.resume();
  return context;
}

interface Tone {
  readonly hertz: number;
  readonly seconds: number;
  /** From now, s; default 0. */
  readonly after?: number;
  readonly level?: number;
}

/** A short tone that dies away; none on a page nobody has touched yet. */
export function playTone({ hertz, seconds, after = 0, level = 0.08 }: Tone): void {
  if (navigator.userActivation?.hasBeenActive === false) return;
  const speaker = wake();
  const from = speaker.currentTime + after;
  const tone = speaker.createOscillator();
  const gain = speaker.createGain();
  gain.gain.setValueAtTime(level, from);
  gain.gain.exponentialRampToValueAtTime(0.001, from + seconds);
  tone.frequency.value = hertz;
  tone.connect(gain).connect(speaker.destination);
  tone.start(from);
  tone.stop(from + seconds + 0.01);
}

/** Opens the loudspeaker at the next key or tap on this page; gives what forgets it. */
export function wakeAtNextTouch(): () => void {
  const options = { once: true, capture: true };
  window.addEventListener('pointerdown', wake, options);
  window.addEventListener('keydown', wake, options);
  return () => {
    window.removeEventListener('pointerdown', wake, options);
    window.removeEventListener('keydown', wake, options);
  };
}
