import { asc, desc, eq } from 'drizzle-orm';
import { EMPTY_SHEET, type Quote } from '@/core/resins';
import { fail, ok, type Result } from '@/core/result';
import { queries, tables, type Db } from '@/db';

export type EquipmentIssue =
  | {
      readonly code: 'nameTaken';
      readonly what: 'printer' | 'resin' | 'instrument' | 'profile';
      readonly name: string;
    }
  | { readonly code: 'gone'; readonly what: string };

export interface NewProfile {
  readonly printerName: string;
  readonly pixelMm?: number;
  readonly standIn: boolean;
  readonly resinName: string;
  readonly linearShrink?: number;
  readonly profileName: string;
  readonly layerMm: number;
  readonly lot: string;
}

/** Any seed will do for a practice printer; taken from its name, so that it is the same machine everywhere. */
function seedOfName(name: string): number {
  return [...name].reduce((hash, letter) => (Math.imul(hash, 31) + letter.charCodeAt(0)) >>> 0, 7);
}

function printerNamed(db: Db, { printerName, pixelMm, standIn }: NewProfile): number {
  const known = db.select().from(tables.printers).where(eq(tables.printers.name, printerName)).get();
  if (known !== undefined) return known.id;
  const standInSeed = standIn ? seedOfName(printerName) : null;
  return db.insert(tables.printers).values({ name: printerName, pixelMm, standInSeed }).returning().get().id;
}

function resinNamed(db: Db, { resinName, linearShrink }: NewProfile): number {
  const known = db.select().from(tables.resins).where(eq(tables.resins.name, resinName)).get();
  if (known !== undefined) return known.id;
  const shrink: Quote[] =
    linearShrink === undefined
      ? []
      : [{ property: 'linearShrink', value: linearShrink, condition: 'cured', source: 'own' }];
  const sheet = { ...EMPTY_SHEET, quotes: shrink };
  return db.insert(tables.resins).values({ name: resinName, sheet }).returning().get().id;
}

/** Makes a profile, with its printer and resin where those names are new; an equal one already there is refused. */
export function createProfile(db: Db, wanted: NewProfile): Result<number, EquipmentIssue> {
  return db.transaction((tx) => {
    const printerId = printerNamed(tx as unknown as Db, wanted);
    const resinId = resinNamed(tx as unknown as Db, wanted);
    const made = tx
      .insert(tables.profiles)
      .values({ printerId, resinId, name: wanted.profileName, layerMm: wanted.layerMm, lot: wanted.lot })
      .onConflictDoNothing()
      .returning()
      .get();
    return made === undefined
      ? fail({ code: 'nameTaken', what: 'profile', name: wanted.profileName })
      : ok(made.id);
  });
}

export interface NewInstrument {
  readonly name: string;
  readonly mpeMm: number;
  readonly resolutionMm: number;
  readonly jawFlatMm?: number;
  readonly jawFlatUnknown: boolean;
  readonly standIn: boolean;
}

export function createInstrument(db: Db, wanted: NewInstrument): Result<number, EquipmentIssue> {
  const { standIn, ...row } = wanted;
  const made = db
    .insert(tables.instruments)
    .values({ ...row, standInSeed: standIn ? seedOfName(wanted.name) : null })
    .onConflictDoNothing()
    .returning()
    .get();
  return made === undefined
    ? fail({ code: 'nameTaken', what: 'instrument', name: wanted.name })
    : ok(made.id);
}

export function listInstruments(db: Db) {
  return db.select().from(tables.instruments).orderBy(asc(tables.instruments.id)).all();
}

/** The last sitting of a job, or of the bench: what a new one starts from. */
export function lastSession(db: Db, jobId: number) {
  const own = db
    .select()
    .from(tables.sessions)
    .where(eq(tables.sessions.jobId, jobId))
    .orderBy(desc(tables.sessions.id))
    .get();
  return own ?? db.select().from(tables.sessions).orderBy(desc(tables.sessions.id)).get();
}

/** The profile a new job starts with: that of the newest job, or the first there is. */
export function firstProfile(db: Db): number | undefined {
  const { jobs, profiles } = tables;
  const newest = db.select().from(jobs).where(eq(jobs.kind, 'part')).orderBy(desc(jobs.id)).get();
  return newest?.profileId ?? db.select().from(profiles).orderBy(asc(profiles.id)).get()?.id;
}

/** Profiles as a list to choose from. */
export function listProfileChoices(
  db: Db,
): { readonly id: number; readonly label: string; readonly layerMm: number }[] {
  return queries.listProfiles(db).map(({ profile, printer, resin }) => ({
    id: profile.id,
    layerMm: profile.layerMm,
    label: `${resin.name} on ${printer.name}, ${profile.name}${profile.lot === '' ? '' : `, ${profile.lot}`}`,
  }));
}
