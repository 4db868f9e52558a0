import { and, eq } from 'drizzle-orm';
import type { Db } from './client';
import { drawnSizes, features, printedFeatures, prints } from './schema';

/**
 * Keeps how the features of an attempt lay in its prints, in the transaction that notes a print or a drawn size. What is
 * kept already stays: the part may have been turned since.
 */
export function rememberPrinted(db: Db, attemptId: number): void {
  const rows = db
    .select({
      printId: prints.id,
      featureId: features.id,
      sense: features.sense,
      shape: features.shape,
      axis: features.axis,
      angleRad: features.angleRad,
      base: features.base,
      anchor: features.anchor,
      known: printedFeatures.printId,
    })
    .from(prints)
    .innerJoin(drawnSizes, eq(drawnSizes.attemptId, prints.attemptId))
    .innerJoin(features, eq(features.id, drawnSizes.featureId))
    .leftJoin(
      printedFeatures,
      and(eq(printedFeatures.printId, prints.id), eq(printedFeatures.featureId, features.id)),
    )
    .where(eq(prints.attemptId, attemptId))
    .all();
  for (const { known, ...row } of rows)
    if (known === null) db.insert(printedFeatures).values(row).onConflictDoNothing().run();
}
