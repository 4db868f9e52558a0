import { eq } from 'drizzle-orm';
import { tables, type Db } from '@/db';

/** How this bench wants the program to behave. */
export interface HouseRules {
  readonly benchName: string;
  /** Single letters as keys; off for people who type with aids that send letters. */
  readonly letterKeys: boolean;
}

export const HOUSE_DEFAULTS: HouseRules = Object.freeze({ benchName: 'My bench', letterKeys: true });
const NAME = 'house';

export function readHouseRules(db: Db): HouseRules {
  const row = db.select().from(tables.settings).where(eq(tables.settings.name, NAME)).get();
  return { ...HOUSE_DEFAULTS, ...(row?.value as Partial<HouseRules> | undefined) };
}

export function writeHouseRules(db: Db, rules: HouseRules): void {
  db.insert(tables.settings)
    .values({ name: NAME, value: rules })
    .onConflictDoUpdate({ target: tables.settings.name, set: { value: rules } })
    .run();
}
