import { and, eq } from 'drizzle-orm';
import { groupBy } from '@/core/kit';
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
      isTurned: prints.isTurned,
      featureId: features.id,
      jobId: features.jobId,
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
  const middles = middlesOf(rows);
  for (const { known, jobId, isTurned, ...row } of rows) {
    if (known !== null) continue;
    const middle = middles.get(jobId);
    const isPlaced = row.anchor !== null && middle !== undefined;
    const [x, y] = isPlaced ? [0, 1].map((i) => row.anchor![i] - middle[i]) : [null, null];
    const lay = isTurned
      ? { ...turnedKind(row), offsetXMm: y === null ? null : -y, offsetYMm: x }
      : { offsetXMm: x, offsetYMm: y };
    db.insert(printedFeatures)
      .values({ ...row, ...lay })
      .onConflictDoNothing()
      .run();
  }
}

/** Returns the direction of a feature whose part was rotated by 90° on the plate. */
function turnedKind({ axis, angleRad }: Pick<typeof features.$inferSelect, 'axis' | 'angleRad'>) {
  const turned = { X: 'Y', Y: 'X', XY: 'XY', Z: 'Z' } as const;
  return { axis: turned[axis], angleRad: angleRad === null ? null : (angleRad + Math.PI / 2) % Math.PI };
}

/**
 * The middle of each part in its file, mm: that of its marked faces. What lies between it and the part's true middle is
 * small beside how well anybody says where a part stood.
 */
function middlesOf(
  rows: readonly { readonly jobId: number; readonly anchor: readonly number[] | null }[],
): Map<number, readonly [number, number]> {
  const anchored = groupBy(
    rows.filter(({ anchor }) => anchor !== null),
    ({ jobId }) => jobId,
  );
  const middle = (values: readonly number[]) => (Math.min(...values) + Math.max(...values)) / 2;
  return new Map(
    [...anchored].map(([jobId, own]) => [
      jobId,
      [middle(own.map(({ anchor }) => anchor![0])), middle(own.map(({ anchor }) => anchor![1]))],
    ]),
  );
}
