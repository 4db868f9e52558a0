import type { Progress } from '@/core/part/mesh';

/** Remarks beside the answer, on standard error. */
export function remark(sentence: string): void {
  process.stderr.write(`${sentence}\n`);
}

/** Work that ends sooner says nothing of its progress, ms. */
const QUIET_MS = 1000;
/** How often it is said: on a screen in place, in a file line by line, ms. */
const EVERY_MS = { screen: 200, file: 10_000 } as const;

/** Says on standard error how far long work is: `Reading the layers … 40 %`. */
export function progressOf(what: string): Progress {
  const isScreen = process.stderr.isTTY === true;
  let next = performance.now() + QUIET_MS;
  return (share) => {
    const now = performance.now();
    if (now < next) return;
    next = now + (isScreen ? EVERY_MS.screen : EVERY_MS.file);
    const line = `${what} … ${Math.round(100 * share)} %`;
    process.stderr.write(isScreen ? `\r${line} ` : `${line}\n`);
  };
}
