import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Db } from '../client';
import { bracketGauges, instruments, strips } from '../schema/equipment';

/** Strips of a printer and a resin that count, short exposures first. */
export function listStrips(db: Db, printerId: number, resinId: number) {
  return db
    .select({
      id: strips.id,
      unit: strips.unit,
      exposure: strips.exposure,
      depthMm: strips.depthMm,
      instrumentId: strips.instrumentId,
      instrument: instruments.name,
      mpeMm: instruments.mpeMm,
    })
    .from(strips)
    .innerJoin(instruments, eq(strips.instrumentId, instruments.id))
    .where(and(eq(strips.printerId, printerId), eq(strips.resinId, resinId), isNull(strips.retractedAt)))
    .orderBy(asc(strips.exposure), asc(strips.id))
    .all();
}

/** Gauges of a profile's bracket that count, short exposures first. */
export function listBracketGauges(db: Db, profileId: number) {
  return db
    .select()
    .from(bracketGauges)
    .where(and(eq(bracketGauges.profileId, profileId), isNull(bracketGauges.retractedAt)))
    .orderBy(asc(bracketGauges.exposureS), asc(bracketGauges.id))
    .all();
}
