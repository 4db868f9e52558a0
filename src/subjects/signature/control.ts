import { eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';

/** Chooses the feature that is read on every print of a profile, or none; what was read of another stays with its prints. */
export function chooseControl(
  db: Db,
  profileId: number,
  featureId: number | undefined,
): Result<void, { readonly code: 'gone' }> {
  const isOne =
    featureId === undefined || queries.listGaugeFeatures(db, profileId).some(({ id }) => id === featureId);
  if (!isOne) return fail({ code: 'gone' });
  const { changes } = db
    .update(tables.profiles)
    .set({ controlFeatureId: featureId ?? null })
    .where(eq(tables.profiles.id, profileId))
    .run();
  return changes === 0 ? fail({ code: 'gone' }) : ok(undefined);
}

/** Size that the control piece of a profile was drawn with; undefined where none is chosen. */
export function drawnControl(db: Db, profileId: number) {
  const control = queries.findControl(db, profileId);
  if (control === undefined) return undefined;
  const { feature } = control;
  const drawn = queries.listAttempts(db, feature.jobId).at(-1)?.drawn;
  const drawnMm = drawn?.find(({ featureId }) => featureId === feature.id)?.drawnMm ?? feature.targetMm;
  return { feature, drawnMm };
}
