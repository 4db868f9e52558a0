import { and, eq, isNull } from 'drizzle-orm';
import { predictReading } from '@/core/signature';
import { type Db, kindOf, printedKey, printKey, runKey, queries, tables } from '@/store';
import { newestSignature } from './newest-signature';

/** A reading of a control feature that is about to be kept. */
interface ComingReading {
  readonly profileId: number;
  readonly featureId: number;
  readonly printId: number;
  readonly sessionId: number;
}

/**
 * Notes what the first reading of a control feature in a print is expected to be, before it is taken: by all that was read
 * until then, with what the jaw adds, the drift and chance of a print to come in its spread. What was noted stays.
 */
export function expectControl(db: Db, { profileId, featureId, printId, sessionId }: ComingReading): void {
  const { printedFeatures, drawnSizes, prints } = tables;
  const row = db
    .select({ printed: printedFeatures, drawnMm: drawnSizes.drawnMm, of: prints })
    .from(printedFeatures)
    .innerJoin(prints, eq(printedFeatures.printId, prints.id))
    .innerJoin(
      drawnSizes,
      and(eq(drawnSizes.attemptId, prints.attemptId), eq(drawnSizes.featureId, featureId)),
    )
    .where(
      and(
        eq(printedFeatures.printId, printId),
        eq(printedFeatures.featureId, featureId),
        isNull(printedFeatures.expectedMm),
      ),
    )
    .get();
  const feature = queries.findControl(db, profileId)?.feature;
  const sitting = queries.findSitting(db, sessionId);
  if (row === undefined || feature?.id !== featureId || sitting === undefined) return;
  const { meanMm, sdMm } = predictReading(newestSignature(db, profileId).signature, {
    kind: kindOf(row.printed),
    feature: printedKey({ feature, printed: row.printed }),
    print: printKey(printId),
    run: runKey(row.of),
    drawnMm: row.drawnMm,
    state: sitting.session.state,
    instrument: sitting.instrument.name,
    u_mm: 0,
  });
  db.update(printedFeatures)
    .set({ expectedMm: meanMm, expectedSdMm: sdMm })
    .where(and(eq(printedFeatures.printId, printId), eq(printedFeatures.featureId, featureId)))
    .run();
}
