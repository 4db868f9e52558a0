import { dayOf } from '@/core/kit/wording';
import { eq } from 'drizzle-orm';
import { evidenceOf, heatAt, LOW_TEST_MPA, modulusOf, type ResinFile, type ResinSheet } from '@/core/resin';
import { type Db, queries, tables } from '@/store';
import { resinFile } from './resin-file';

/** Returns the resins in the vats of the workshop, by name. */
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

/** One resin with what belongs to it; undefined when there is none. */
export function findShelved(db: Db, resinId: number): queries.ShelvedResin | undefined {
  return queries.findResin(db, resinId);
}

/** One row of the list of resins. */
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

/** Returns the resins by name, one row each; heat at the stress of the upper test or below, as far as it is known. */
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

/** A bottle with the day of its last shake, by the server's clock. */
export interface ShelvedBottle extends queries.BottleRow {
  readonly shakenOn?: string;
}

export function shelvedBottles(bottles: readonly queries.BottleRow[]): ShelvedBottle[] {
  return bottles.map((bottle) => ({
    ...bottle,
    shakenOn: bottle.shakenAt === null ? undefined : dayOf(bottle.shakenAt),
  }));
}

export type ShelvedResinTest = queries.ProofRow;

/** Resins that a blend can be made of: those that are no blends themselves. */
export function listBlendable(db: Db): ResinFile[] {
  return queries
    .listShelf(db)
    .filter(({ resin }) => resin.recipe === null)
    .map(resinFile);
}
