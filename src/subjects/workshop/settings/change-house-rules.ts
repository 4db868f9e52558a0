import { type Db, tables } from '@/store';
import { type HouseRules, NAME, readHouseRules } from './view-house-rules';

/** Changes the rules named; the others stay. */
export function writeHouseRules(db: Db, changes: Partial<HouseRules>): void {
  const rules = { ...readHouseRules(db), ...changes };
  db.insert(tables.settings)
    .values({ name: NAME, value: rules })
    .onConflictDoUpdate({ target: tables.settings.name, set: { value: rules } })
    .run();
}
