import { type Db, queries } from '@/store';

/** Chance that a print comes out whole, and what that is known by. */
export interface PrintChance {
  readonly p: number;
  readonly done: number;
  readonly stopped: number;
}

/** Before so many runs ended here, what is usual stands. */
const ENOUGH_RUNS = 3;
const USUAL_CHANCE = 0.9;

/** How often prints of this printer came to their end: (s + ½)/(n + 1), Jeffreys’ prior; before three runs, 0.9. */
export function printChance(db: Db, printerId: number): PrintChance {
  const ended = queries.listEndedRuns(db, printerId);
  const done = ended.filter(({ outcome }) => outcome === 'done').length;
  const stopped = ended.length - done;
  const p = ended.length < ENOUGH_RUNS ? USUAL_CHANCE : (done + 0.5) / (ended.length + 1);
  return { p, done, stopped };
}
