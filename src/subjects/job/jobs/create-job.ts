import { readHouseRules } from '@/subjects/workshop/settings';
import { type Db, tables } from '@/store';

/** Creates an empty job, judged by the rule in the settings. */
export function createJob(db: Db, name: string, profileId?: number, kind: 'part' | 'gauge' = 'part'): number {
  const rule = readHouseRules(db).decisionRule;
  return db
    .insert(tables.jobs)
    .values({ name, profileId, kind, rule, createdAt: new Date() })
    .returning()
    .get().id;
}
