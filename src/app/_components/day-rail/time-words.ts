const two = (value: number) => String(value).padStart(2, '0');

/** A moment of the day, 14:05; with its weekday where it is not the day of minute 0. */
export function momentIn(zero: number, minute: number): string {
  const [at, from] = [new Date(zero + 60_000 * minute), new Date(zero)];
  const time = `${two(at.getHours())}:${two(at.getMinutes())}`;
  if (at.toDateString() === from.toDateString()) return time;
  return `${at.toLocaleDateString('en-GB', { weekday: 'short' })} ${time}`;
}

/** So many minutes as they are said: 45 min, 3 h 20. */
export function spanOf(minutes: number): string {
  const whole = Math.round(minutes);
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${two(whole % 60)}`;
}
