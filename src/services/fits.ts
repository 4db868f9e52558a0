import { and, eq, isNull } from 'drizzle-orm';
import {
  isoFit,
  MATERIAL_FACTS,
  targetForMate,
  wishedClearance,
  type ClearanceBand,
  type FitClasses,
  type FitConditions,
  type FitLimits,
  type IsoFitIssue,
  type Mate as MeasuredMate,
  type Material,
  type Ruin,
  type Wish,
} from '@/core/fits';
import type { MateOrigin } from '@/core/need';
import { fail, ok, type Result } from '@/core/result';
import { optionOf, SHEETS } from '@/core/sheets';
import { queries, tables, type Db } from '@/db';
import { readHouseRules } from './house-rules';
import { ASSUMED_MATE_U_MM } from './kinds';
import { bumpRevision, noteLedger } from './ledger';

export type WishIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'pitchHasNoMate' }
  | { readonly code: 'clearanceCrossed' }
  | { readonly code: 'mateUnmeasured'; readonly name: string }
  | { readonly code: 'iso'; readonly issue: IsoFitIssue };

export interface MateInput {
  readonly name: string;
  readonly sizeMm?: number;
  readonly u_mm?: number;
  readonly material: Material;
  readonly origin: MateOrigin;
  readonly irreplaceable: boolean;
}

export interface WishInput {
  readonly wish: Wish;
  /** Clearance of this interface alone, in place of the class. */
  readonly clearance?: ClearanceBand;
  /** Letters such as H7/g6, in place of the class. */
  readonly isoFit?: string;
  readonly ruin: Ruin;
  readonly coatMm: number;
  readonly mate: MateInput;
}

/** A stored mate as a fit takes it; undefined while it was never measured. */
export function mateOf(mate: queries.Mate | undefined): MeasuredMate | undefined {
  if (mate === undefined || mate.sizeMm === null) return undefined;
  return {
    sizeMm: mate.sizeMm,
    u_mm: mate.uMm ?? ASSUMED_MATE_U_MM,
    expansionPerK: mate.material === 'resin' ? undefined : MATERIAL_FACTS[mate.material].expansionPerK,
  };
}

/** What happens to a feature's fit between print and use. */
export function conditionsOf(job: queries.Job, feature: queries.Feature): FitConditions {
  return { serviceC: job.fitC ?? 20, coatMm: feature.coatMm };
}

/** The clearance that is wished of a feature: its own, or that of its class at the mate's size. */
export function bandOf(
  feature: queries.Feature,
  mateMm: number,
  classes: FitClasses,
): ClearanceBand | undefined {
  if (feature.bandLowMm !== null && feature.bandHighMm !== null)
    return { lowMm: feature.bandLowMm, highMm: feature.bandHighMm };
  return feature.wish === null ? undefined : wishedClearance(feature.wish, mateMm, classes);
}

/** Target and limits that a wished feature asks for; undefined without a wish or a measured mate. */
export function limitsOf(
  job: queries.Job,
  feature: queries.Feature,
  mate: queries.Mate | undefined,
  classes: FitClasses,
): FitLimits | undefined {
  const body = mateOf(mate);
  const band = body && bandOf(feature, body.sizeMm, classes);
  return body === undefined || band === undefined
    ? undefined
    : targetForMate(feature.sense, body, band, conditionsOf(job, feature));
}

const SAME_MM = 5e-5;

/**
 * Takes the limits of every wished feature anew from its mate, the house's classes and the temperature of use, and gives
 * the names of those that moved. What was drawn before stays on record and is judged by the new limits.
 */
export function refit(db: Db, jobId: number): string[] {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return [];
  const mates = queries.listMates(db, jobId);
  const { fitClasses } = readHouseRules(db);
  const moved: string[] = [];
  for (const feature of queries.listFeatures(db, jobId)) {
    const mate = mates.find(({ id }) => id === feature.mateId);
    const limits = feature.wish === null ? undefined : limitsOf(job, feature, mate, fitClasses);
    if (limits === undefined) continue;
    const { targetMm, lowerMm, upperMm } = limits;
    const away = Math.abs(targetMm - feature.targetMm) + Math.abs(upperMm - feature.upperMm);
    if (away < SAME_MM) continue;
    moved.push(feature.name);
    db.update(tables.features)
      .set({ targetMm, lowerMm, upperMm })
      .where(eq(tables.features.id, feature.id))
      .run();
  }
  if (moved.length > 0) {
    db.update(tables.jobs).set({ needChangedAt: new Date() }).where(eq(tables.jobs.id, jobId)).run();
    bumpRevision(db, jobId);
  }
  return moved;
}

/** Keeps the body under its name; what was read on a measuring sheet is not overwritten by blanks. */
export function keepMateBody(
  db: Db,
  jobId: number,
  input: MateInput & { readonly measure?: string },
): number {
  const { name, sizeMm, u_mm, measure, ...rest } = input;
  const values = {
    ...rest,
    ...(sizeMm === undefined ? {} : { sizeMm, uMm: u_mm ?? null }),
    ...(measure === undefined ? {} : { measure }),
  };
  const { mates } = tables;
  const known = db
    .select()
    .from(mates)
    .where(and(eq(mates.jobId, jobId), eq(mates.name, name)))
    .get();
  if (known === undefined)
    return db
      .insert(mates)
      .values({ jobId, name, ...values })
      .returning()
      .get().id;
  db.update(mates).set(values).where(eq(mates.id, known.id)).run();
  return known.id;
}

function isoBand(input: WishInput): Result<ClearanceBand | undefined, WishIssue> {
  if (input.isoFit === undefined) return ok(input.clearance);
  const fit = isoFit(input.mate.sizeMm ?? NaN, input.isoFit);
  if (!fit.ok) return fail({ code: 'iso', issue: fit.issue });
  const { min, max } = fit.value.clearance_um;
  return ok({ lowMm: min / 1000, highMm: max / 1000 });
}

/** A feature that came from a measuring sheet: the sheet learns of the wish, so that taking it over again keeps it. */
function noteOnSheet(db: Db, job: queries.Job, mateId: number, input: WishInput, band?: ClearanceBand): void {
  const mate = queries.listMates(db, job.id).find(({ id }) => id === mateId);
  if (job.sheet === null || mate === undefined || mate.measure === null) return;
  const { sheet } = job;
  const at = SHEETS[sheet.kind].interfaces(optionOf(sheet)).find(({ measure }) => measure === mate.measure);
  if (at === undefined) return;
  const { wish, ruin, coatMm } = input;
  const wishes = { ...sheet.wishes, [at.id]: { wish, ruin, clearance: band, coatMm } };
  db.update(tables.jobs)
    .set({ sheet: { ...sheet, wishes } })
    .where(eq(tables.jobs.id, job.id))
    .run();
}

/**
 * Names what should happen where a feature meets its mate; its target and limits follow. With a mate that was never
 * measured the wish is kept and `mateUnmeasured` comes back: the limits stay what they were until it has a size.
 */
export function wishFor(db: Db, jobId: number, featureId: number, input: WishInput): Result<void, WishIssue> {
  const job = queries.findJob(db, jobId);
  const feature = queries.listFeatures(db, jobId).find(({ id }) => id === featureId);
  if (job === undefined || feature === undefined) return fail({ code: 'gone' });
  if (feature.sense === 'pitch') return fail({ code: 'pitchHasNoMate' });
  const known = queries.listMates(db, jobId).find(({ name }) => name === input.mate.name);
  const sizeMm = input.mate.sizeMm ?? known?.sizeMm ?? undefined;
  const band = isoBand({ ...input, mate: { ...input.mate, sizeMm } });
  if (!band.ok) return band;
  if (band.value !== undefined && !(band.value.lowMm < band.value.highMm))
    return fail({ code: 'clearanceCrossed' });
  return db.transaction((tx) => {
    const own = tx as unknown as Db;
    const mateId = keepMateBody(own, jobId, input.mate);
    tx.update(tables.features)
      .set({
        mateId,
        wish: input.wish,
        bandLowMm: band.value?.lowMm ?? null,
        bandHighMm: band.value?.highMm ?? null,
        isoFit: input.isoFit ?? null,
        ruin: input.ruin,
        coatMm: input.coatMm,
      })
      .where(eq(tables.features.id, featureId))
      .run();
    noteOnSheet(own, job, mateId, input, band.value);
    if (sizeMm === undefined) {
      bumpRevision(own, jobId);
      return fail({ code: 'mateUnmeasured', name: input.mate.name });
    }
    refit(own, jobId);
    bumpRevision(own, jobId);
    const { lowMm, highMm } =
      band.value ?? wishedClearance(input.wish, sizeMm, readHouseRules(own).fitClasses);
    noteLedger(
      own,
      jobId,
      'fit',
      `${feature.name}: ${input.isoFit ?? input.wish} on ${input.mate.name}`,
      `clearance ${lowMm.toFixed(3)} to ${highMm.toFixed(3)} mm on ${sizeMm.toFixed(2)}`.replaceAll('-', '−'),
    );
    return ok(undefined);
  });
}

/** A feature whose limits were typed by hand. */
export const NO_WISH = {
  wish: null,
  bandLowMm: null,
  bandHighMm: null,
  isoFit: null,
  ruin: 'none',
  coatMm: 0,
} as const;

/** Takes a wish off: the limits stay as they are and are typed by hand from then on. */
export function dropWish(db: Db, jobId: number, featureId: number): void {
  db.update(tables.features)
    .set(NO_WISH)
    .where(
      and(
        eq(tables.features.id, featureId),
        eq(tables.features.jobId, jobId),
        isNull(tables.features.removedAt),
      ),
    )
    .run();
  bumpRevision(db, jobId);
}
