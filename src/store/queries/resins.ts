import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { groupBy } from '@/core/kit';
import type { Db } from '../client';
import { printers } from '../schema/equipment';
import { bottles, proofs, resins } from '../schema/resins';

export type Resin = typeof resins.$inferSelect;

export type BottleRow = typeof bottles.$inferSelect;

export type ProofRow = typeof proofs.$inferSelect;

/** A resin with what belongs to it. */
export interface ShelvedResin {
  readonly resin: Resin;
  readonly proofs: readonly ProofRow[];
  readonly bottles: readonly BottleRow[];
  /** Printers in whose vat it stands. */
  readonly inVatOf: readonly string[];
}

/** Returns the resins by name, without removed ones. */
export function listShelf(db: Db): ShelvedResin[] {
  const all = db.select().from(resins).where(isNull(resins.removedAt)).orderBy(asc(resins.name)).all();
  const proofsOf = groupBy(
    db.select().from(proofs).where(isNull(proofs.removedAt)).orderBy(asc(proofs.id)).all(),
    ({ resinId }) => resinId,
  );
  const bottlesOf = groupBy(
    db.select().from(bottles).where(isNull(bottles.removedAt)).orderBy(asc(bottles.id)).all(),
    ({ resinId }) => resinId,
  );
  const loaded = db.select().from(printers).orderBy(asc(printers.name)).all();
  return all.map((resin) => ({
    resin,
    proofs: proofsOf.get(resin.id) ?? [],
    bottles: bottlesOf.get(resin.id) ?? [],
    inVatOf: loaded.filter(({ vatResinId }) => vatResinId === resin.id).map(({ name }) => name),
  }));
}

/** Returns the names of the resins, without their datasheets. */
export function listResinNames(db: Db) {
  return db
    .select({ id: resins.id, name: resins.name, recipe: resins.recipe })
    .from(resins)
    .where(isNull(resins.removedAt))
    .orderBy(asc(resins.name))
    .all();
}

/** What all standing bottles of each resin hold and still have, ml. */
export function listStock(db: Db) {
  return db
    .select({
      id: resins.id,
      name: resins.name,
      fullMl: sql<number>`sum(${bottles.fullMl})`,
      leftMl: sql<number>`sum(${bottles.leftMl})`,
    })
    .from(bottles)
    .innerJoin(resins, eq(bottles.resinId, resins.id))
    .where(and(isNull(bottles.removedAt), isNull(resins.removedAt)))
    .groupBy(resins.id)
    .orderBy(asc(resins.name))
    .all();
}

/** Returns one resin, removed ones too. */
export function findResin(db: Db, resinId: number): ShelvedResin | undefined {
  const resin = db.select().from(resins).where(eq(resins.id, resinId)).get();
  if (resin === undefined) return undefined;
  return {
    resin,
    proofs: db
      .select()
      .from(proofs)
      .where(and(eq(proofs.resinId, resinId), isNull(proofs.removedAt)))
      .orderBy(asc(proofs.id))
      .all(),
    bottles: db
      .select()
      .from(bottles)
      .where(and(eq(bottles.resinId, resinId), isNull(bottles.removedAt)))
      .orderBy(asc(bottles.id))
      .all(),
    inVatOf: db
      .select()
      .from(printers)
      .where(eq(printers.vatResinId, resinId))
      .all()
      .map(({ name }) => name),
  };
}

export function findResinByName(db: Db, name: string): Resin | undefined {
  return db.select().from(resins).where(eq(resins.name, name)).get();
}
