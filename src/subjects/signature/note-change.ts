import { and, eq, isNull } from 'drizzle-orm';
import type { ChangeKind, ProfileSettings } from '@/core/signature';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import type { ChangeIssue } from './words-changes';

/** What somebody says has changed; settings that are left out stay as they are. */
export interface NewChange {
  readonly kinds: readonly ChangeKind[];
  /** Later prints are made after it. */
  readonly at: Date;
  readonly after: ProfileSettings;
  /** Exposure until then, where it was not known. */
  readonly exposureBeforeS?: number;
  readonly note: string;
}

/** What a profile is printed under beside its lot and layer height. */
export type OtherSettings = Omit<ProfileSettings, 'lot' | 'layerMm'>;

/** Everything that a profile is printed under, with its lot and layer height. */
export function settingsOf({ profile }: queries.ProfileRow): ProfileSettings {
  return { ...profile.settings, lot: profile.lot, layerMm: profile.layerMm };
}

function putSettings(db: Db, profileId: number, { lot = '', layerMm, ...settings }: ProfileSettings): void {
  db.update(tables.profiles)
    .set({ lot, ...(layerMm === undefined ? {} : { layerMm }), settings, evidenceKey: crypto.randomUUID() })
    .where(eq(tables.profiles.id, profileId))
    .run();
}

/**
 * When a change was made, after the last one: what is noted of now comes after it even where the last one was noted by a
 * clock that ran ahead.
 */
function momentAfter(last: Date | undefined, at: Date, now: Date): Date | undefined {
  if (last === undefined || at >= last) return at;
  return last > now ? new Date(last.getTime() + 1) : undefined;
}

/** Records that something changed in a profile: earlier data then count less. */
export function noteChange(
  db: Db,
  profileId: number,
  { kinds, at: said, after, exposureBeforeS, note }: NewChange,
  now = new Date(),
): Result<number, ChangeIssue> {
  const row = queries.findProfile(db, profileId);
  if (row === undefined) return fail({ code: 'gone' });
  if (kinds.length === 0) return fail({ code: 'nothingChanged' });
  const last = queries.listChanges(db, profileId).at(-1);
  const at = momentAfter(last?.at, said, now);
  if (at === undefined) return fail({ code: 'beforeLast', lastAt: last!.at });
  const known = settingsOf(row);
  const before = { ...known, exposureS: known.exposureS ?? exposureBeforeS };
  return db.transaction((tx) => {
    const { id } = tx
      .insert(tables.profileChanges)
      .values({ profileId, kinds, at, before, after: { ...before, ...after }, note, notedAt: now })
      .returning()
      .get();
    putSettings(tx, profileId, { ...before, ...after });
    return ok(id);
  });
}

/** Stores the print settings of a profile where they were missing or wrong: nothing was changed on the printer. */
export function correctSettings(
  db: Db,
  profileId: number,
  settings: OtherSettings,
): Result<void, ChangeIssue> {
  const { derived } = queries.findProfile(db, profileId)?.profile.settings ?? {};
  const { changes } = db
    .update(tables.profiles)
    .set({ settings: { derived, ...settings } })
    .where(eq(tables.profiles.id, profileId))
    .run();
  return changes === 0 ? fail({ code: 'gone' }) : ok(undefined);
}

/** Undoes the newest change of a profile: everything is as before it. */
export function takeBackChange(db: Db, profileId: number, changeId: number): Result<void, ChangeIssue> {
  const last = queries.listChanges(db, profileId).at(-1);
  if (last?.id !== changeId) return fail({ code: 'notNewest' });
  const { profileChanges } = tables;
  return db.transaction((tx) => {
    tx.update(profileChanges)
      .set({ retractedAt: new Date() })
      .where(and(eq(profileChanges.id, changeId), isNull(profileChanges.retractedAt)))
      .run();
    putSettings(tx, profileId, last.before);
    return ok(undefined);
  });
}
