import { eq } from 'drizzle-orm';
import { summariseSignature } from '@/core/signature';
import { type Db, tables } from '@/store';
import { isLearnedElsewhere, learnNewest, newestSignature } from './newest-signature';

/** When a piece of work is done: at once, or as soon as whoever asked has the answer. */
export type Later = (work: () => void) => void;

function keepSignature(db: Db, profileId: number): void {
  const { signature, readingIds, isOvertaken } = newestSignature(db, profileId);
  const profile = db.select().from(tables.profiles).where(eq(tables.profiles.id, profileId)).get();
  if (profile === undefined || readingIds.length === 0 || isOvertaken) return;
  const { evidenceKey } = profile;
  const { prior } = signature.posterior;
  const law = {
    evidenceKey,
    readingCount: readingIds.length,
    mean: signature.parameters.map(({ mean }) => mean),
    covariance: [...signature.covariance],
    priorMean: [...prior.mean],
    priorCovariance: [...prior.covariance],
  };
  db.transaction((tx) => {
    tx.insert(tables.signatures)
      .values({
        profileId,
        evidenceKey,
        readingCount: readingIds.length,
        lastReadingId: readingIds.at(-1) ?? 0,
        summary: summariseSignature(signature),
        createdAt: new Date(),
      })
      .onConflictDoNothing()
      .run();
    tx.insert(tables.laws)
      .values({ profileId, ...law })
      .onConflictDoUpdate({ target: tables.laws.profileId, set: law })
      .run();
  });
}

/**
 * Stores the newest signature of profiles in their history, once per change of their evidence; where signatures are
 * computed elsewhere, as soon as it is ready. One that was overtaken in the meantime is left to its successor.
 */
export function keepSignatures(db: Db, profileIds: readonly number[]): void {
  for (const profileId of profileIds) {
    if (!isLearnedElsewhere()) keepSignature(db, profileId);
    // The next request restarts a failed thread; a workshop closed in the meantime keeps its last signature.
    else
      void learnNewest(db, profileId)
        .then(() => keepSignature(db, profileId))
        .catch(() => undefined);
  }
}
