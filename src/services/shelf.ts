import { and, eq } from 'drizzle-orm';
import {
  evidenceOf,
  findSheetIssues,
  heatAt,
  LOW_TEST_MPA,
  modulusOf,
  type Proof,
  type Quote,
  type ResinFile,
  type ResinSheet,
  type ResinSheetIssue,
} from '@/core/resins';
import { fail, ok, type Result } from '@/core/result';
import { queries, tables, type Db } from '@/db';

export type ShelfChangeIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'nameTaken'; readonly name: string }
  | { readonly code: 'resinSheet'; readonly issue: ResinSheetIssue }
  | { readonly code: 'moreThanFull'; readonly fullMl: number };

/** A test with its day, as the core takes it. */
export function proofOf({ test, on }: queries.ProofRow): Proof {
  return { ...test, on };
}

/** A resin as the core takes it. */
export function resinFile({ resin, proofs }: queries.ShelvedResin): ResinFile {
  return { name: resin.name, sheet: resin.sheet, proofs: proofs.map(proofOf) };
}

/** What stands in the vats of the bench, by name. */
export function listVats(db: Db) {
  const { printers, resins } = tables;
  return db
    .select({
      id: printers.id,
      resinId: printers.vatResinId,
      printer: printers.name,
      pixelMm: printers.pixelMm,
      since: printers.vatSince,
      resin: resins.name,
    })
    .from(printers)
    .leftJoin(resins, eq(printers.vatResinId, resins.id))
    .orderBy(printers.name)
    .all();
}

/** Puts a resin of this name on the shelf, with an empty sheet; one that was taken off comes back with its own. */
export function addResin(
  db: Db,
  name: string,
  family: ResinSheet['family'],
): Result<number, ShelfChangeIssue> {
  const known = queries.findResinByName(db, name);
  if (known !== undefined) {
    if (known.removedAt === null) return fail({ code: 'nameTaken', name });
    db.update(tables.resins).set({ removedAt: null }).where(eq(tables.resins.id, known.id)).run();
    return ok(known.id);
  }
  const sheet: ResinSheet = { family, quotes: [], cautions: [] };
  return ok(db.insert(tables.resins).values({ name, sheet }).returning().get().id);
}

/** Takes a resin off the shelf; its proofs, profiles and signatures stay, and it can be put back by its name. */
export function takeOffShelf(db: Db, resinId: number): void {
  db.update(tables.resins).set({ removedAt: new Date() }).where(eq(tables.resins.id, resinId)).run();
}

function changeSheet(
  db: Db,
  resinId: number,
  change: (sheet: ResinSheet) => ResinSheet,
): Result<void, ShelfChangeIssue> {
  const found = queries.findResin(db, resinId);
  if (found === undefined) return fail({ code: 'gone' });
  const sheet = change(found.resin.sheet);
  const [issue] = findSheetIssues(sheet);
  if (issue !== undefined) return fail({ code: 'resinSheet', issue });
  db.update(tables.resins).set({ sheet }).where(eq(tables.resins.id, resinId)).run();
  return ok(undefined);
}

/** Two quotes of the same thing in the same state: the later one takes the place of the earlier. */
function replaces(a: Quote, b: Quote): boolean {
  return a.property === b.property && a.condition === b.condition && a.atC === b.atC;
}

/** Keeps a value of a resin's sheet in the place of the one it replaces; refuses what contradicts the rest. */
export function keepQuote(db: Db, resinId: number, quote: Quote): Result<void, ShelfChangeIssue> {
  return changeSheet(db, resinId, (sheet) => ({
    ...sheet,
    quotes: [...sheet.quotes.filter((other) => !replaces(quote, other)), quote],
  }));
}

export function dropQuote(db: Db, resinId: number, index: number): Result<void, ShelfChangeIssue> {
  return changeSheet(db, resinId, (sheet) => ({
    ...sheet,
    quotes: sheet.quotes.filter((_, i) => i !== index),
  }));
}

/** What is known of a resin in words: family, liquids, clarity, ratings, cautions. */
export type ResinFacts = Omit<ResinSheet, 'quotes'>;

export function keepFacts(db: Db, resinId: number, facts: ResinFacts): Result<void, ShelfChangeIssue> {
  return changeSheet(db, resinId, ({ quotes }) => ({ ...facts, quotes }));
}

/** Says which resin stands in a printer's vat; undefined empties it. */
export function loadVat(db: Db, printerId: number, resinId: number | undefined, on: string): void {
  db.update(tables.printers)
    .set({ vatResinId: resinId ?? null, vatSince: resinId === undefined ? '' : on })
    .where(eq(tables.printers.id, printerId))
    .run();
}

export interface BottleInput {
  readonly batch: string;
  readonly openedOn: string;
  readonly fullMl: number;
  readonly leftMl: number;
}

export function addBottle(db: Db, resinId: number, bottle: BottleInput): Result<void, ShelfChangeIssue> {
  if (bottle.leftMl > bottle.fullMl) return fail({ code: 'moreThanFull', fullMl: bottle.fullMl });
  if (queries.findResin(db, resinId) === undefined) return fail({ code: 'gone' });
  db.insert(tables.bottles)
    .values({ resinId, ...bottle })
    .run();
  return ok(undefined);
}

function ofBottle(resinId: number, bottleId: number) {
  return and(eq(tables.bottles.id, bottleId), eq(tables.bottles.resinId, resinId));
}

/** Keeps what is left in a bottle. */
export function keepLeft(
  db: Db,
  resinId: number,
  bottleId: number,
  leftMl: number,
): Result<void, ShelfChangeIssue> {
  const bottle = db.select().from(tables.bottles).where(ofBottle(resinId, bottleId)).get();
  if (bottle === undefined) return fail({ code: 'gone' });
  // A bottle weighed with a little dew on it is full, not a mistake.
  if (leftMl > bottle.fullMl * 1.05) return fail({ code: 'moreThanFull', fullMl: bottle.fullMl });
  db.update(tables.bottles)
    .set({ leftMl: Math.min(leftMl, bottle.fullMl) })
    .where(ofBottle(resinId, bottleId))
    .run();
  return ok(undefined);
}

export function shakeBottle(db: Db, resinId: number, bottleId: number): void {
  db.update(tables.bottles).set({ shakenAt: new Date() }).where(ofBottle(resinId, bottleId)).run();
}

export function throwBottle(db: Db, resinId: number, bottleId: number): void {
  db.update(tables.bottles).set({ removedAt: new Date() }).where(ofBottle(resinId, bottleId)).run();
}

/** One resin with what belongs to it; undefined when there is none. */
export function findShelved(db: Db, resinId: number): queries.ShelvedResin | undefined {
  return queries.findResin(db, resinId);
}

/** One line of the shelf. */
export interface ShelfLine {
  readonly id: number;
  readonly name: string;
  readonly family: ResinSheet['family'];
  readonly heatC?: number;
  readonly modulusMPa?: number;
  readonly elongation?: number;
  readonly proofs: number;
  readonly leftMl?: number;
  readonly fullMl?: number;
  readonly inVatOf: readonly string[];
}

/** The shelf by name, a line each; heat at the upper test's stress or below it, as far as it is known. */
export function glanceAtShelf(db: Db): ShelfLine[] {
  return queries.listShelf(db).map((shelved) => {
    const evidence = evidenceOf(resinFile(shelved));
    const { resin, bottles, proofs, inVatOf } = shelved;
    const sum = (pick: (bottle: queries.BottleRow) => number) =>
      bottles.length === 0 ? undefined : bottles.reduce((total, bottle) => total + pick(bottle), 0);
    return {
      id: resin.id,
      name: resin.name,
      family: resin.sheet.family,
      heatC: heatAt(evidence, LOW_TEST_MPA)?.value,
      modulusMPa: modulusOf(evidence)?.value,
      elongation: evidence.of('elongation')?.value,
      proofs: proofs.length,
      leftMl: sum(({ leftMl }) => leftMl),
      fullMl: sum(({ fullMl }) => fullMl),
      inVatOf,
    };
  });
}

/** Names to choose from. */
export function listShelfNames(db: Db): { readonly id: number; readonly name: string }[] {
  return queries.listResinNames(db).map(({ id, name }) => ({ id, name }));
}

/** Under this share of all its bottles a resin is short. */
const SHORT_SHARE = 0.2;

/** Resins of which little is left, for Today. */
export function listShort(db: Db): { readonly id: number; readonly name: string; readonly leftMl: number }[] {
  return queries
    .listStock(db)
    .filter(({ leftMl, fullMl }) => leftMl < SHORT_SHARE * fullMl)
    .map(({ id, name, leftMl }) => ({ id, name, leftMl }));
}

export type ShelvedBottle = queries.BottleRow;
export type ShelvedProof = queries.ProofRow;
