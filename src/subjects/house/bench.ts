import { benchDb, dataFolder, type Connection } from '@/store';
import { type HouseRules, readHouseRules } from './view-house-rules';

/**
 * The one bench of this process. Pages, actions and route handlers get the database and its folder here and hand them
 * to verbs and views, which take them as parameters and so can be tested on a bench of their own.
 */
export function bench(): { readonly db: Connection; readonly folder: string } {
  return { db: benchDb(), folder: dataFolder() };
}

export function benchHouse(): HouseRules {
  return readHouseRules(benchDb());
}

/** Today by the bench's own clock, YYYY-MM-DD. */
export function today(): string {
  const now = new Date();
  const pad = (part: number) => String(part).padStart(2, '0');
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`;
}
