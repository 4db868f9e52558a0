import { asc, isNull } from 'drizzle-orm';
import { type Stock, stockOf } from '@/core/log';
import { type Db, queries, tables } from '@/store';

/** Something that is used up, and how long it lasts. */
export interface StockView extends Stock {
  readonly id: number;
  readonly name: string;
  readonly unit: string;
  readonly perPrint: number;
  readonly leadDays: number;
  readonly countedAt: Date;
  readonly revision: number;
}

const DAY_MS = 86_400_000;
/** How often it is printed is taken from so many days. */
const PACE_DAYS = 60;

/** What is used up beside resin, by the prints of the whole bench; what is to be ordered first. */
export function listStockLeft(db: Db, now: Date): StockView[] {
  const { consumables } = tables;
  const rows = db
    .select()
    .from(consumables)
    .where(isNull(consumables.putAwayAt))
    .orderBy(asc(consumables.name))
    .all();
  if (rows.length === 0) return [];
  const printsSince = (at: Date) => queries.countEndedSince(db, at);
  const pace = { prints: printsSince(new Date(now.getTime() - PACE_DAYS * DAY_MS)), days: PACE_DAYS };
  return rows
    .map(({ id, name, unit, counted, countedAt, perPrint, leadDays, revision }) => ({
      id,
      name,
      unit,
      perPrint,
      leadDays,
      countedAt,
      revision,
      ...stockOf({ counted, printsSince: printsSince(countedAt), perPrint, leadDays, pace }),
    }))
    .sort((a, b) => Number(b.isDue) - Number(a.isDue));
}
