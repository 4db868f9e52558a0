import { and, asc, desc, eq, isNull } from 'drizzle-orm';
import { checkLaw, isLean, type LawIssue, PARAMETER_NAMES } from '@/core/signature';
import { type Db, queries, tables } from '@/store';

/** The profile a new job starts with: that of the newest job that was not archived, or the first there is. */
export function firstProfile(db: Db): number | undefined {
  const { jobs, profiles } = tables;
  const newest = db
    .select()
    .from(jobs)
    .where(and(eq(jobs.kind, 'part'), isNull(jobs.archivedAt)))
    .orderBy(desc(jobs.id))
    .get();
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

/** Printers by name. */
export function listPrinters(db: Db) {
  return db.select().from(tables.printers).orderBy(tables.printers.name).all();
}

/** One printer; undefined when there is none. */
export function findPrinter(db: Db, printerId: number) {
  return db.select().from(tables.printers).where(eq(tables.printers.id, printerId)).get();
}

/** Parameters that readings can determine: the exposure gradient only if places on the plate are known. */
const KNOWABLE = PARAMETER_NAMES.filter((name) => !isLean(name));

/** A printer with a resin and a profile, and how well it is known. */
export interface ProfileGlance {
  readonly id: number;
  readonly printerId: number;
  readonly printer: string;
  readonly resin: string;
  readonly name: string;
  readonly lot: string;
  readonly simulated: boolean;
  readonly readingCount: number;
  /** Measured profiles of the same printer or resin are used for it. */
  readonly isLent: boolean;
  readonly pinned: number;
  readonly parameters: number;
}

export function glanceAtProfiles(db: Db): ProfileGlance[] {
  return queries.listProfiles(db).map(({ profile, printer, resin }) => {
    const newest = queries.findKeptSignature(db, profile.id);
    const parameters = newest?.summary.parameters ?? [];
    return {
      id: profile.id,
      printerId: printer.id,
      printer: printer.name,
      resin: resin.name,
      name: profile.name,
      lot: profile.lot,
      simulated: printer.simulatedSeed !== null,
      readingCount: newest?.readingCount ?? 0,
      isLent: queries.listKinLaws(db, profile.id).length > 0,
      pinned: parameters.filter(({ pinned }) => pinned).length,
      parameters: KNOWABLE.length,
    };
  });
}

/** A signature of another shop as the page shows it. */
export interface ForeignGlance {
  readonly id: number;
  readonly name: string;
  readonly printer: string | null;
  readonly resin: string | null;
  /** Why it is not used; an older version imported it. */
  readonly trouble?: LawIssue;
}

export function listForeign(db: Db): ForeignGlance[] {
  return queries.listAllForeignLaws(db).map(({ law, printer, resin }) => {
    const checked = checkLaw(law);
    return { id: law.id, name: law.name, printer, resin, trouble: checked.ok ? undefined : checked.issue };
  });
}
