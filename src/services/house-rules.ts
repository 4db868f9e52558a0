import { FIT_CLASSES_AT_10MM, type FitClasses } from '@/core/fits';
import { eq } from 'drizzle-orm';
import { tables, type Db } from '@/db';

/** How this bench wants the program to behave. */
export interface HouseRules {
  readonly benchName: string;
  /** Single letters as keys; off for people who type with aids that send letters. */
  readonly letterKeys: boolean;
  /** Clearance that each wish means at 10 mm. */
  readonly fitClasses: FitClasses;
}

export const HOUSE_DEFAULTS: HouseRules = Object.freeze({
  benchName: 'My bench',
  letterKeys: true,
  fitClasses: FIT_CLASSES_AT_10MM,
});
const NAME = 'house';

export function readHouseRules(db: Db): HouseRules {
  const row = db.select().from(tables.settings).where(eq(tables.settings.name, NAME)).get();
  return { ...HOUSE_DEFAULTS, ...(row?.value as Partial<HouseRules> | undefined) };
}

/** Changes the rules named; the others stay. */
export function writeHouseRules(db: Db, changes: Partial<HouseRules>): void {
  const rules = { ...readHouseRules(db), ...changes };
  db.insert(tables.settings)
    .values({ name: NAME, value: rules })
    .onConflictDoUpdate({ target: tables.settings.name, set: { value: rules } })
    .run();
}
