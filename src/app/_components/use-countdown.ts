import { useEffect, useState } from 'react';

/** The server's clock as this page knows it, ms, ticking each second: a clock of this machine that is wrong does not matter. */
export function useServerClock(serverNow: number): number {
  const [now, setNow] = useState(serverNow);
  useEffect(() => {
    const ahead = serverNow - Date.now();
    const tick = () => setNow(Date.now() + ahead);
    tick();
    const timer = setInterval(tick, 1000);
    return () => clearInterval(timer);
  }, [serverNow]);
  return now;
}

/** Returns a duration as 4:05 or 1:02:30. */
export function describeClock(ms: number): string {
  const seconds = Math.floor(Math.abs(ms) / 1000);
  const [hours, minutes, rest] = [
    Math.floor(seconds / 3600),
    Math.floor((seconds % 3600) / 60),
    seconds % 60,
  ];
  const two = (value: number) => String(value).padStart(2, '0');
  return hours > 0 ? `${hours}:${two(minutes)}:${two(rest)}` : `${minutes}:${two(rest)}`;
}

/** Returns the time left, such as 4:05 left, or how long something is overdue. */
export function describeLeft(leftMs: number): string {
  return leftMs < 0 ? `overdue by ${describeClock(leftMs)}` : `${describeClock(leftMs)} left`;
}
