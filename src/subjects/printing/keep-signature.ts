import { eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';
import { newestSignature } from './newest-signature';

/** When a piece of work is done: at once, or as soon as whoever asked has the answer. */
export type Later = (work: () => void) => void;

/** Keeps the newest signature of profiles in their history, once for each change of their evidence. */
export function keepSignatures(db: Db, profileIds: readonly number[]): void {
  for (const profileId of profileIds) {
    const { report, readingIds } = newestSignature(db, profileId);
    const profile = db.select().from(tables.profiles).where(eq(tables.profiles.id, profileId)).get();
    if (profile === undefined || readingIds.length === 0) continue;
    const { evidenceKey } = profile;
    db.insert(tables.signatures)
      .values({ profileId, evidenceKey, readingIds: [...readingIds], report, createdAt: new Date() })
      .onConflictDoNothing()
      .run();
  }
}
