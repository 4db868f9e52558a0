import { useEffect } from 'react';
import { playTone, wakeAtNextTouch } from './speaker';

/** A timer that calls when it is over. */
export interface CallingTimer {
  readonly id: number | string;
  readonly title: string;
  /** ms of the server's clock; undefined: it never is. */
  readonly endsAt?: number;
}

const CALLED = 'mellow-called';
const MOST_KEPT = 50;

/** Notes that a timer called; false where it did so before, here or in another window. */
function callOnce(id: number | string): boolean {
  const called = JSON.parse(localStorage.getItem(CALLED) ?? '[]') as (number | string)[];
  if (called.includes(id)) return false;
  localStorage.setItem(CALLED, JSON.stringify([...called, id].slice(-MOST_KEPT)));
  return true;
}

const CALL = [0, 0.35, 0.7];

function sound(): void {
  for (const after of CALL) playTone({ hertz: 880, seconds: 0.3, after, level: 0.15 });
}

function call({ id, title }: CallingTimer): void {
  if (!callOnce(id)) return;
  sound();
  if ('Notification' in window && Notification.permission === 'granted')
    new Notification(title, { body: 'The time is up.', tag: `mellow-timer-${id}` });
}

/** Calls once for each timer whose time is up, by sound and, where the browser allows it, by a notification; and in the title. */
export function useCall(timers: readonly CallingTimer[], now: number): void {
  const isWaiting = timers.length > 0;
  useEffect(() => (isWaiting ? wakeAtNextTouch() : undefined), [isWaiting]);
  const over = timers.filter(({ endsAt }) => endsAt !== undefined && endsAt <= now);
  const overIds = over.map(({ id }) => id).join(' ');
  useEffect(() => {
    if (overIds === '') return;
    over.forEach(call);
    const before = document.title;
    document.title = `● ${over[0].title}`;
    return () => {
      document.title = before;
    };
    // The list is another object at each second; its ids say whether anything changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [overIds]);
}

/** Whether this browser can notify, and how to ask for it. */
export function askToNotify(): void {
  if ('Notification' in window && Notification.permission === 'default')
    void Notification.requestPermission();
}
