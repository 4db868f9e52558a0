import { eq } from 'drizzle-orm';
import type { Db } from './client';
import { attempts, prints, profiles, readings, sessions, tries } from './schema';

/** What was changed: a print or a job that was measured, the sheet of a resin, or what is known of an instrument. */
type EvidenceOf =
  | { readonly printId: number }
  | { readonly jobId: number }
  | { readonly resinId: number }
  | { readonly instrumentId: number };

function profilesOf(db: Db, changed: EvidenceOf): number[] {
  if ('resinId' in changed)
    return db
      .select({ id: profiles.id })
      .from(profiles)
      .where(eq(profiles.resinId, changed.resinId))
      .all()
      .map(({ id }) => id);
  if ('instrumentId' in changed)
    return db
      .selectDistinct({ id: attempts.profileId })
      .from(readings)
      .innerJoin(sessions, eq(readings.sessionId, sessions.id))
      .innerJoin(prints, eq(readings.printId, prints.id))
      .innerJoin(attempts, eq(prints.attemptId, attempts.id))
      .where(eq(sessions.instrumentId, changed.instrumentId))
      .all()
      .map(({ id }) => id);
  if ('jobId' in changed)
    return db
      .selectDistinct({ id: attempts.profileId })
      .from(attempts)
      .where(eq(attempts.jobId, changed.jobId))
      .all()
      .map(({ id }) => id);
  return db
    .select({ id: attempts.profileId })
    .from(attempts)
    .innerJoin(prints, eq(prints.attemptId, attempts.id))
    .where(eq(prints.id, changed.printId))
    .all()
    .map(({ id }) => id);
}

/** Profiles with hand fits of their prints: the meaning of a word is learned from all of them together. */
function profilesWithTries(db: Db): number[] {
  return db
    .selectDistinct({ id: attempts.profileId })
    .from(tries)
    .innerJoin(prints, eq(tries.printId, prints.id))
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .all()
    .map(({ id }) => id);
}

/**
 * Gives the profiles that a change affects a new evidence key, in the transaction of that change, so that the next
 * request for their signatures gets current ones. Returns their ids.
 */
export function evidenceChanged(db: Db, changed: EvidenceOf): number[] {
  const own = profilesOf(db, changed);
  const withTries = profilesWithTries(db);
  const touched = own.some((id) => withTries.includes(id)) ? [...new Set([...own, ...withTries])] : own;
  for (const id of touched)
    db.update(profiles).set({ evidenceKey: crypto.randomUUID() }).where(eq(profiles.id, id)).run();
  return own;
}
