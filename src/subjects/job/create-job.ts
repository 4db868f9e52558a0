import { type Db, tables } from '@/store';

/** Makes a job with nothing in it yet. */
export function createJob(db: Db, name: string, profileId?: number, kind: 'part' | 'gauge' = 'part'): number {
  return db.insert(tables.jobs).values({ name, profileId, kind, createdAt: new Date() }).returning().get().id;
}
