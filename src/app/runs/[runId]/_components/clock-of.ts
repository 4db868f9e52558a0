/** A span of time as it is said: 45 min, 3 h 20. */
export function clockOf(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
}

/** A moment of the day, 14:05; with its weekday where it is not today. */
export function momentOn(ms: number, nowMs: number): string {
  const [at, now] = [new Date(ms), new Date(nowMs)];
  const time = `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`;
  if (at.toDateString() === now.toDateString()) return time;
  return `${at.toLocaleDateString('en-GB', { weekday: 'long' })} ${time}`;
}
