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
 * Keeps the newest signature of profiles in their history, once for each change of their evidence; where signatures are
 * learned elsewhere, as soon as it is there. One that was overtaken meanwhile is left to the one that overtook it.
 */
export function keepSignatures(db: Db, profileIds: readonly number[]): void {
  for (const profileId of profileIds) {
    if (!isLearnedElsewhere()) keepSignature(db, profileId);
    // A thread that failed is started anew by the next who asks; a bench closed meanwhile keeps what it had.
    else
      void learnNewest(db, profileId)
        .then(() => keepSignature(db, profileId))
        .catch(() => undefined);
  }
}
