import { and, eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/result';
import { renumberRecipe } from '@/core/solids';
import { findKindIssue, type FeatureKind, type FeatureKindIssue } from '@/core/metrology';
import { queries, tables, type Db } from '@/db';
import { NO_WISH, refit } from './fits';
import { kindColumns } from './kinds';
import { bumpRevision, noteLedger } from './ledger';
import { viewJob, type FeatureView } from './view-job';

export type JobIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'changedElsewhere' }
  | { readonly code: 'nameTaken'; readonly name: string }
  | { readonly code: 'limitsCrossed' }
  | { readonly code: 'notPositive' }
  | { readonly code: 'kind'; readonly issue: FeatureKindIssue };

/** Makes a job with nothing in it yet. */
export function createJob(db: Db, name: string, profileId?: number, kind: 'part' | 'gauge' = 'part'): number {
  return db.insert(tables.jobs).values({ name, profileId, kind, createdAt: new Date() }).returning().get().id;
}

export interface FeatureInput {
  readonly name: string;
  readonly kind: FeatureKind;
  readonly targetMm: number;
  readonly lowerMm: number;
  readonly upperMm: number;
  readonly mateName?: string;
  readonly mateMm?: number;
  readonly mateU_mm?: number;
  readonly anchor?: [number, number, number];
}

function findInputIssue(db: Db, jobId: number, wanted: FeatureInput, ownId?: number): JobIssue | undefined {
  const issue = findKindIssue(wanted.kind);
  if (issue !== undefined) return { code: 'kind', issue };
  if (!(wanted.targetMm > 0)) return { code: 'notPositive' };
  if (!(wanted.lowerMm < wanted.upperMm)) return { code: 'limitsCrossed' };
  const taken = queries.listFeatures(db, jobId).some(({ id, name }) => id !== ownId && name === wanted.name);
  return taken ? { code: 'nameTaken', name: wanted.name } : undefined;
}

function keepMate(db: Db, jobId: number, { mateName, mateMm, mateU_mm }: FeatureInput): number | null {
  if (mateName === undefined || mateName === '') return null;
  const values = { sizeMm: mateMm ?? null, uMm: mateU_mm ?? null };
  const known = db
    .select()
    .from(tables.mates)
    .where(and(eq(tables.mates.jobId, jobId), eq(tables.mates.name, mateName)))
    .get();
  if (known === undefined)
    return db
      .insert(tables.mates)
      .values({ jobId, name: mateName, ...values })
      .returning()
      .get().id;
  db.update(tables.mates).set(values).where(eq(tables.mates.id, known.id)).run();
  return known.id;
}

function featureValues({ name, kind, targetMm, lowerMm, upperMm, anchor }: FeatureInput) {
  return {
    name,
    ...kindColumns(kind),
    targetMm,
    lowerMm,
    upperMm,
    ...(anchor === undefined ? {} : { anchor }),
  };
}

/** Adds a feature to a job; where attempts exist already it counts as drawn at its target in the newest. */
export function addFeature(db: Db, jobId: number, wanted: FeatureInput): Result<number, JobIssue> {
  const issue = findInputIssue(db, jobId, wanted);
  if (issue !== undefined) return fail(issue);
  return db.transaction((tx) => {
    const own = tx as unknown as Db;
    const position = queries.listFeatures(own, jobId).length;
    const mateId = keepMate(own, jobId, wanted);
    const { id } = tx
      .insert(tables.features)
      .values({ jobId, position, mateId, ...featureValues(wanted) })
      .returning()
      .get();
    const last = queries.listAttempts(own, jobId).at(-1);
    if (last !== undefined) {
      tx.insert(tables.drawnSizes)
        .values({ attemptId: last.id, featureId: id, drawnMm: wanted.targetMm })
        .run();
    }
    bumpRevision(own, jobId);
    return ok(id);
  });
}

/** Forms show sizes to a ten-thousandth. */
const SAME_MM = 6e-5;

/** What a mend of a feature changed in what was already judged. */
export interface MendEffect {
  readonly before?: Pick<FeatureView, 'size' | 'verdict'>;
  readonly after?: Pick<FeatureView, 'size' | 'verdict'>;
}

export interface FeatureMend extends FeatureInput {
  readonly drawnMm?: number;
  readonly revision: number;
}

function viewOf(db: Db, jobId: number, featureId: number): FeatureView | undefined {
  return viewJob(db, jobId)?.current?.features.find(({ id }) => id === featureId);
}

/** Mends a wrong sense, target or drawn size, readings or not, and tells what that changed. */
export function mendFeature(
  db: Db,
  jobId: number,
  featureId: number,
  wanted: FeatureMend,
): Result<MendEffect, JobIssue> {
  const job = queries.findJob(db, jobId);
  const feature = queries.listFeatures(db, jobId).find(({ id }) => id === featureId);
  if (job === undefined || feature === undefined) return fail({ code: 'gone' });
  if (job.revision !== wanted.revision) return fail({ code: 'changedElsewhere' });
  const issue = findInputIssue(db, jobId, wanted, featureId);
  if (issue !== undefined) return fail(issue);
  if (wanted.drawnMm !== undefined && !(wanted.drawnMm > 0)) return fail({ code: 'notPositive' });
  const before = viewOf(db, jobId, featureId);
  db.transaction((tx) => {
    const own = tx as unknown as Db;
    const mateId = keepMate(own, jobId, wanted);
    const values = featureValues(wanted);
    // Limits typed by hand stand in place of a wish; a mate that was measured anew moves those of its wish.
    const byHand = (['targetMm', 'lowerMm', 'upperMm'] as const).some(
      (limit) => Math.abs(values[limit] - feature[limit]) > SAME_MM,
    );
    tx.update(tables.features)
      .set({ ...values, mateId, ...(byHand ? NO_WISH : {}) })
      .where(eq(tables.features.id, featureId))
      .run();
    if (!byHand) refit(own, jobId);
    const last = queries.listAttempts(own, jobId).at(-1);
    if (last !== undefined && wanted.drawnMm !== undefined) {
      tx.update(tables.drawnSizes)
        .set({ drawnMm: wanted.drawnMm, predictedMm: null, sdMm: null, chance: null })
        .where(and(eq(tables.drawnSizes.attemptId, last.id), eq(tables.drawnSizes.featureId, featureId)))
        .run();
    }
    bumpRevision(own, jobId);
    noteLedger(own, jobId, 'need', `${wanted.name} mended`, 'sense, target, limits or drawn size');
  });
  return ok({ before, after: viewOf(db, jobId, featureId) });
}

/** Chooses the printer, resin and profile of a job. */
export function chooseProfile(db: Db, jobId: number, profileId: number): void {
  db.update(tables.jobs).set({ profileId }).where(eq(tables.jobs.id, jobId)).run();
  bumpRevision(db, jobId);
}

/** Notes where on the part a feature is found. */
export function placeFeature(
  db: Db,
  jobId: number,
  featureId: number,
  anchorMm: [number, number, number],
): void {
  if (!anchorMm.every(Number.isFinite))
    throw new RangeError('placeFeature: three finite coordinates are needed');
  db.update(tables.features)
    .set({ anchor: anchorMm })
    .where(and(eq(tables.features.id, featureId), eq(tables.features.jobId, jobId)))
    .run();
  bumpRevision(db, jobId);
}

/** Keeps the file of a part that was brought in; it takes the place of a part built from sizes. */
export function keepPartFile(db: Db, jobId: number, meshHash: string, name: string): void {
  db.update(tables.jobs).set({ meshHash, solid: null }).where(eq(tables.jobs.id, jobId)).run();
  bumpRevision(db, jobId);
  noteLedger(db, jobId, 'need', 'Part brought in', name);
}

/** Puts a feature away; its readings stay on record and go on teaching the signature. */
export function removeFeature(db: Db, jobId: number, featureId: number): void {
  db.update(tables.features).set({ removedAt: new Date() }).where(eq(tables.features.id, featureId)).run();
  bumpRevision(db, jobId);
}

export function archiveJob(db: Db, jobId: number, archived: boolean): void {
  db.update(tables.jobs)
    .set({ archivedAt: archived ? new Date() : null })
    .where(eq(tables.jobs.id, jobId))
    .run();
}

/** Readings and pictures of the old part belong to the part, not to a try of it: they go along, as joints do. */
function copyWhatIsOfThePart(db: Db, fromId: number, jobId: number): void {
  const { bodyReadings, joints, pictures } = tables;
  for (const reading of db.select().from(bodyReadings).where(eq(bodyReadings.jobId, fromId)).all())
    db.insert(bodyReadings)
      .values({ ...reading, id: undefined, jobId, clientKey: `copy-${jobId}-${reading.id}` })
      .run();
  for (const joint of db.select().from(joints).where(eq(joints.jobId, fromId)).all())
    db.insert(joints)
      .values({ ...joint, id: undefined, jobId })
      .run();
  for (const picture of db.select().from(pictures).where(eq(pictures.jobId, fromId)).all())
    db.insert(pictures)
      .values({ ...picture, id: undefined, jobId })
      .run();
}

/** A new job with the same need, sheet, mates, joints and features, and none of the attempts. */
export function copyJob(db: Db, jobId: number): Result<number, JobIssue> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  return db.transaction((tx) => {
    const own = tx as unknown as Db;
    const need = {
      ...job,
      id: undefined,
      solid: null,
      meshHash: null,
      archivedAt: null,
      needChangedAt: null,
    };
    const created = tx
      .insert(tables.jobs)
      .values({ ...need, revision: 1, name: `${job.name}, copy`, createdAt: new Date() })
      .returning()
      .get();
    const mateIds = new Map(
      queries.listMates(own, jobId).map(({ id, ...mate }) => [
        id,
        tx
          .insert(tables.mates)
          .values({ ...mate, jobId: created.id })
          .returning()
          .get().id,
      ]),
    );
    copyWhatIsOfThePart(own, jobId, created.id);
    const featureIds = new Map<number, number>();
    for (const { id, ...feature } of queries.listFeatures(own, jobId)) {
      const mateId = feature.mateId === null ? null : (mateIds.get(feature.mateId) ?? null);
      const copy = tx
        .insert(tables.features)
        .values({ ...feature, jobId: created.id, mateId })
        .returning()
        .get();
      featureIds.set(id, copy.id);
    }
    if (job.solid !== null) {
      const solid = renumberRecipe(job.solid, (id) => featureIds.get(id));
      if (solid !== undefined)
        tx.update(tables.jobs).set({ solid }).where(eq(tables.jobs.id, created.id)).run();
    }
    return ok(created.id);
  });
}
