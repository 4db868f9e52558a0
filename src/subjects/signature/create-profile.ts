import { eq } from 'drizzle-orm';
import { EMPTY_SHEET, type Quote } from '@/core/resin';
import { fail, ok, type Result } from '@/core/kit';
import { seedOfName } from '@/core/simulated';
import { type Db, tables } from '@/store';
import type { ProfileIssue } from './words-issues';

export interface NewProfile {
  readonly printerName: string;
  readonly pixelMm?: number;
  readonly simulated: boolean;
  readonly resinName: string;
  readonly linearShrink?: number;
  readonly profileName: string;
  readonly layerMm: number;
  readonly lot: string;
}

function printerNamed(db: Db, { printerName, pixelMm, simulated }: NewProfile): number {
  const known = db.select().from(tables.printers).where(eq(tables.printers.name, printerName)).get();
  if (known !== undefined) return known.id;
  const simulatedSeed = simulated ? seedOfName(printerName) : null;
  return db
    .insert(tables.printers)
    .values({ name: printerName, pixelMm, simulatedSeed, addedAt: new Date() })
    .returning()
    .get().id;
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
export function createProfile(db: Db, wanted: NewProfile): Result<number, ProfileIssue> {
  return db.transaction((tx) => {
    const printerId = printerNamed(tx, wanted);
    const resinId = resinNamed(tx, wanted);
    const made = tx
      .insert(tables.profiles)
      .values({ printerId, resinId, name: wanted.profileName, layerMm: wanted.layerMm, lot: wanted.lot })
      .onConflictDoNothing()
      .returning()
      .get();
    return made === undefined ? fail({ code: 'nameTaken', name: wanted.profileName }) : ok(made.id);
  });
}
