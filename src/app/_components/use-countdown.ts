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

/** 4:05 left, 1:02:30 left; over by 0:12. */
export function describeLeft(leftMs: number): string {
  const seconds = Math.floor(Math.abs(leftMs) / 1000);
  const [hours, minutes, rest] = [
    Math.floor(seconds / 3600),
    Math.floor((seconds % 3600) / 60),
    seconds % 60,
  ];
  const two = (value: number) => String(value).padStart(2, '0');
  const clock = hours > 0 ? `${hours}:${two(minutes)}:${two(rest)}` : `${minutes}:${two(rest)}`;
  return leftMs < 0 ? `over by ${clock}` : `${clock} left`;
}
