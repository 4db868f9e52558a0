import { eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import type { SheetFeature } from '@/core/job/sheets';
import { anchorsOf } from '@/core/fit/solids';
import { type Db, kindColumns, queries, rememberPrinted, tables, evidenceChanged } from '@/store';
import { keepMateBody, markOvertaken, reopenedSince, standingOf } from '@/subjects/job/jobs';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { bumpRevision, recordDecision } from '@/subjects/workshop/records';
import { type SheetView, viewSheet } from './view-sheet';
import type { SheetEntry } from './words-decisions';
import type { TakeOverIssue } from './words-issues';

function keepSheetFeature(
  db: Db,
  jobId: number,
  view: SheetView,
  { feature, position }: { readonly feature: SheetFeature; readonly position: number },
): number {
  const at = feature.interface;
  const wished = view.sheet.interfaces.find(({ id }) => id === at?.id);
  const measured = view.measures.find(({ measure }) => measure.id === at?.measure);
  const mateId =
    measured?.body === undefined
      ? null
      : keepMateBody(db, jobId, {
          name: measured.mate?.name ?? measured.measure.label,
          sizeMm: measured.body.sizeMm,
          u_mm: measured.body.u_mm,
          material: measured.mate?.material ?? 'other',
          origin: measured.mate?.origin ?? 'old',
          irreplaceable: measured.mate?.irreplaceable ?? false,
          measure: measured.measure.id,
        });
  const { kind, name, targetMm, lowerDeviationMm, upperDeviationMm } = feature;
  const values = {
    ...kindColumns(kind),
    targetMm,
    lowerDeviationMm,
    upperDeviationMm,
    mateId,
    wish: wished?.wish ?? null,
    ruin: wished?.ruin ?? ('none' as const),
    coatMm: wished?.coatMm ?? 0,
    bandLowMm: wished?.clearance?.lowMm ?? null,
    bandHighMm: wished?.clearance?.highMm ?? null,
  };
  const known = queries.listFeatures(db, jobId).find(({ sheetFeature }) => sheetFeature === feature.id);
  if (known === undefined)
    return db
      .insert(tables.features)
      .values({ jobId, position, name, sheetFeature: feature.id, ...values })
      .returning()
      .get().id;
  db.update(tables.features).set(values).where(eq(tables.features.id, known.id)).run();
  return known.id;
}

function placeOnSolid(db: Db, view: SheetView, ids: ReadonlyMap<string, number>, jobId: number): void {
  const solid = view.sheet.solid?.((feature) => ids.get(feature)!);
  if (solid === undefined) return;
  db.update(tables.jobs).set({ solid }).where(eq(tables.jobs.id, jobId)).run();
  const targets = new Map(
    [...ids].map(([key, id]) => [id, view.sheet.features.find((each) => each.id === key)!.targetMm]),
  );
  for (const [id, anchor] of anchorsOf(solid, (featureId) => targets.get(featureId)!)) {
    db.update(tables.features)
      .set({ anchor: [anchor[0], anchor[1], anchor[2]] })
      .where(eq(tables.features.id, id))
      .run();
  }
}

/** The result: how many sizes the job has from its measuring sheet, and what that reopened. */
interface TakenOver {
  readonly sizes: number;
  readonly opened: readonly Reopened[];
}

/**
 * Transfers the sheet's sizes into the job: mates as measured, features with targets by their fits, and the part if the
 * sheet defines it. A later transfer changes what has moved and leaves names, attempts and readings unchanged.
 */
export function takeOverSheet(db: Db, jobId: number): Result<TakenOver, TakeOverIssue> {
  const view = viewSheet(db, jobId);
  if (view === undefined) return fail({ code: 'noSheet' });
  const { sheet } = view;
  if (!sheet.whole) return fail({ code: 'sheet', issue: sheet.issues[0] });
  const others = queries.listFeatures(db, jobId).filter(({ sheetFeature }) => sheetFeature === null);
  const clash = view.takenOver
    ? undefined
    : sheet.features.find(({ name }) => others.some((other) => other.name === name));
  if (clash !== undefined) return fail({ code: 'nameTaken', name: clash.name });
  return db.transaction((tx) => {
    const standing = standingOf(tx, jobId);
    const attempt = queries.listAttempts(tx, jobId).at(-1);
    const ids = new Map<string, number>();
    sheet.features.forEach((feature, i) =>
      ids.set(feature.id, keepSheetFeature(tx, jobId, view, { feature, position: others.length + i })),
    );
    for (const { id, sheetFeature } of queries.listFeatures(tx, jobId)) {
      if (sheetFeature !== null && !ids.has(sheetFeature))
        tx.update(tables.features).set({ removedAt: new Date() }).where(eq(tables.features.id, id)).run();
    }
    placeOnSolid(tx, view, ids, jobId);
    if (attempt !== undefined && (view.stale.length > 0 || !view.takenOver)) {
      markOvertaken(tx, jobId);
      for (const [key, id] of ids) {
        const drawnMm = sheet.features.find((each) => each.id === key)!.targetMm;
        tx.insert(tables.drawnSizes)
          .values({ attemptId: attempt.id, featureId: id, drawnMm })
          .onConflictDoNothing()
          .run();
      }
      rememberPrinted(tx, attempt.id);
    }
    bumpRevision(tx, jobId);
    evidenceChanged(tx, { jobId });
    recordDecision<SheetEntry>(tx, jobId, 'need', {
      code: 'sheetTakenOver',
      again: view.takenOver,
      sizes: sheet.features.map(({ name, targetMm }) => ({ name, targetMm })),
    });
    return ok({ sizes: ids.size, opened: reopenedSince(tx, jobId, standing) });
  });
}
