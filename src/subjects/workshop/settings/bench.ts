import { dayOf } from '@/core/kit/wording';
import { type BenchTrouble, type Connection, theBench } from '@/store';
import { HOUSE_DEFAULTS, type HouseRules, readHouseRules } from './view-house-rules';

/** The workshop cannot be opened: only what repairs it is served. */
export class BenchClosed extends Error {
  constructor(readonly trouble: BenchTrouble) {
    super(`The workshop cannot be opened: ${trouble.code}, ${trouble.path}`);
  }
}

/**
 * The one open workshop of this process. Pages, actions and route handlers get the database and its folder here and
 * pass them to use cases and views as parameters, so that these can be tested on a workshop of their own.
 */
export function bench(): { readonly db: Connection; readonly folder: string; readonly root: string } {
  const opened = theBench();
  if (!opened.ok) throw new BenchClosed(opened.issue);
  return opened.value;
}

export function benchHouse(): HouseRules {
  return readHouseRules(bench().db);
}

/** What the frame of every page needs from the settings, even if the workshop cannot be read. */
export function frameOfBench(): { readonly house: HouseRules; readonly readable: boolean } {
  try {
    return { house: benchHouse(), readable: true };
  } catch {
    return { house: HOUSE_DEFAULTS, readable: false };
  }
}

/** Today by the server's clock, YYYY-MM-DD. */
export function today(): string {
  return dayOf(new Date());
}
