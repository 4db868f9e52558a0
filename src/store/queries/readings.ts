import { and, asc, count, desc, eq, gt, inArray, isNull, lt, sql, type SQL } from 'drizzle-orm';
import { quoteOf } from '@/core/resin';
import type { Db } from '../client';
import { attempts, drawnSizes, printedFeatures, prints } from '../schema/attempts';
import { instruments, profiles } from '../schema/equipment';
import { features, jobs } from '../schema/jobs';
import { resins } from '../schema/resins';
import { checkReadings, readings, retractions, sessions, tries } from '../schema/readings';

/** Returns valid readings (not deleted) with everything needed to correct them, oldest first. */
export function listStandingReadings(db: Db, where: SQL | undefined) {
  const rows = db
    .select({
      id: readings.id,
      clientKey: readings.clientKey,
      readingMm: readings.readingMm,
      heightMm: readings.heightMm,
      takenAt: readings.takenAt,
      feature: features,
      printed: printedFeatures,
      printId: prints.id,
      printName: prints.name,
      attemptId: attempts.id,
      resinId: profiles.resinId,
      drawnMm: drawnSizes.drawnMm,
      session: sessions,
      instrument: instruments,
    })
    .from(readings)
    .innerJoin(sessions, eq(readings.sessionId, sessions.id))
    .innerJoin(instruments, eq(sessions.instrumentId, instruments.id))
    .innerJoin(features, eq(readings.featureId, features.id))
    .innerJoin(prints, eq(readings.printId, prints.id))
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(profiles, eq(attempts.profileId, profiles.id))
    .innerJoin(drawnSizes, and(eq(drawnSizes.attemptId, attempts.id), eq(drawnSizes.featureId, features.id)))
    .innerJoin(
      printedFeatures,
      and(eq(printedFeatures.printId, prints.id), eq(printedFeatures.featureId, features.id)),
    )
    .leftJoin(retractions, eq(retractions.readingId, readings.id))
    .where(and(isNull(retractions.readingId), where))
    .orderBy(asc(readings.id))
    .all();
  const expansions = expansionOfResins(db);
  return rows.map(({ resinId, ...row }) => ({ ...row, partExpansionPerK: expansions.get(resinId) }));
}

/** Thermal expansion of the resins whose sheet states it, 1/K, by id. */
function expansionOfResins(db: Db): Map<number, number> {
  const rows = db.select({ id: resins.id, sheet: resins.sheet }).from(resins).all();
  return new Map(
    rows.flatMap(({ id, sheet }) => {
      const stated = quoteOf(sheet, 'expansion_um_mK')?.value;
      return stated === undefined ? [] : [[id, stated * 1e-6]];
    }),
  );
}

export type StandingReading = ReturnType<typeof listStandingReadings>[number];

/** How a feature lies, as columns. */
type KindColumns = Pick<typeof features.$inferSelect, 'sense' | 'shape' | 'axis' | 'angleRad' | 'base'>;

/** A reading with no more than what a signature learns of it. */
export interface LeanReading extends Pick<
  StandingReading,
  'id' | 'readingMm' | 'heightMm' | 'printId' | 'drawnMm' | 'partExpansionPerK'
> {
  /** The run of the printer that its print came out of. */
  readonly of: Pick<typeof prints.$inferSelect, 'runId' | 'attemptId' | 'run'>;
  readonly feature: KindColumns & Pick<typeof features.$inferSelect, 'id' | 'coatMm'>;
  readonly printed: KindColumns;
  /** Its place on the plate, from the plate's centre, mm; undefined if unknown. */
  readonly place: { readonly xMm: number; readonly yMm: number } | undefined;
  readonly session: Pick<
    typeof sessions.$inferSelect,
    'id' | 'zeroMm' | 'partC' | 'instrumentC' | 'state' | 'warm'
  >;
  readonly instrument: typeof instruments.$inferSelect;
}

type Flat = Pick<LeanReading, 'id' | 'readingMm' | 'heightMm' | 'printId' | 'drawnMm'> &
  LeanReading['session'] &
  KindColumns & {
    readonly featureId: number;
    readonly coatMm: number;
    readonly nowSense: KindColumns['sense'];
    readonly nowShape: KindColumns['shape'];
    readonly nowAxis: KindColumns['axis'];
    readonly nowAngleRad: number | null;
    readonly nowBase: KindColumns['base'];
    readonly sessionId: number;
    readonly instrumentId: number;
    readonly resinId: number;
    readonly xMm: number | null;
    readonly yMm: number | null;
    readonly runId: number | null;
    readonly attemptId: number;
    readonly run: number;
  };

/** What a row says by itself. */
function ofRow(row: Flat) {
  const { id, readingMm, heightMm, printId, drawnMm, sense, shape, axis, angleRad, base, xMm, yMm } = row;
  return {
    id,
    readingMm,
    heightMm,
    printId,
    drawnMm,
    of: { runId: row.runId, attemptId: row.attemptId, run: row.run },
    feature: {
      id: row.featureId,
      coatMm: row.coatMm,
      sense: row.nowSense,
      shape: row.nowShape,
      axis: row.nowAxis,
      angleRad: row.nowAngleRad,
      base: row.nowBase,
    },
    printed: { sense, shape, axis, angleRad, base },
    place: xMm === null || yMm === null ? undefined : { xMm, yMm },
  };
}

/**
 * The same for thousands of readings: rows as the database gives them, a fifth of the time. Each sitting and each
 * instrument is one object for all its readings.
 */
export function listLeanReadings(db: Db, where: SQL): LeanReading[] {
  const rows = db.all<Flat>(sql`
    select readings.id as id, readings.reading_mm as readingMm, readings.height_mm as heightMm,
      prints.id as printId, prints.run_id as runId, prints.attempt_id as attemptId, prints.run as run,
      drawn_sizes.drawn_mm as drawnMm, features.id as featureId, features.coat_mm as coatMm,
      features.sense as nowSense, features.shape as nowShape, features.axis as nowAxis,
      features.angle_rad as nowAngleRad, features.base as nowBase,
      printed_features.sense as sense, printed_features.shape as shape, printed_features.axis as axis,
      printed_features.angle_rad as angleRad, printed_features.base as base,
      sessions.id as sessionId, sessions.zero_mm as zeroMm, sessions.part_c as partC,
      sessions.instrument_c as instrumentC, sessions.state as state, sessions.warm as warm,
      sessions.instrument_id as instrumentId, profiles.resin_id as resinId,
      prints.place_x_mm + ifnull(printed_features.offset_x_mm, 0) as xMm,
      prints.place_y_mm + ifnull(printed_features.offset_y_mm, 0) as yMm
    from readings
      join sessions on readings.session_id = sessions.id
      join features on readings.feature_id = features.id
      join prints on readings.print_id = prints.id
      join attempts on prints.attempt_id = attempts.id
      join profiles on attempts.profile_id = profiles.id
      join drawn_sizes on drawn_sizes.attempt_id = attempts.id and drawn_sizes.feature_id = features.id
      join printed_features on printed_features.print_id = prints.id and printed_features.feature_id = features.id
      left join retractions on retractions.reading_id = readings.id
    where retractions.reading_id is null and ${where}
    order by readings.id`);
  const expansions = expansionOfResins(db);
  const known = new Map(
    db
      .select()
      .from(instruments)
      .all()
      .map((row) => [row.id, row]),
  );
  const sittings = new Map<number, LeanReading['session']>();
  return rows.map((row) => {
    const session = sittings.get(row.sessionId) ?? {
      id: row.sessionId,
      zeroMm: row.zeroMm,
      partC: row.partC,
      instrumentC: row.instrumentC,
      state: row.state,
      warm: Boolean(row.warm),
    };
    sittings.set(row.sessionId, session);
    return {
      ...ofRow(row),
      partExpansionPerK: expansions.get(row.resinId),
      session,
      instrument: known.get(row.instrumentId)!,
    };
  });
}

export function ofProfile(profileId: number): SQL {
  return eq(attempts.profileId, profileId);
}

export function ofJob(jobId: number): SQL {
  return eq(features.jobId, jobId);
}

export function ofFeature(featureId: number): SQL {
  return eq(features.id, featureId);
}

/** Readings of a profile that came after another one. */
export function ofProfileAfter(profileId: number, readingId: number): SQL {
  return and(ofProfile(profileId), gt(readings.id, readingId))!;
}

/** Readings of these features in these prints. */
export function ofFeaturesIn(featureIds: readonly number[], printIds: readonly number[]): SQL {
  return and(inArray(features.id, [...featureIds]), inArray(prints.id, [...printIds]))!;
}

/** Readings of a profile that were taken within so much of the plate. */
export function ofProfileBelow(profileId: number, heightMm: number): SQL {
  return and(ofProfile(profileId), lt(readings.heightMm, heightMm))!;
}

export function ofPrint(printId: number): SQL {
  return eq(prints.id, printId);
}

export function ofPrints(printIds: readonly number[]): SQL {
  return inArray(prints.id, [...printIds]);
}

function selectTries(db: Db) {
  return db
    .select({
      attempt: tries,
      feature: features,
      printed: printedFeatures,
      drawnMm: drawnSizes.drawnMm,
      printName: prints.name,
      of: { runId: prints.runId, attemptId: prints.attemptId, run: prints.run },
      place: { xMm: prints.placeXMm, yMm: prints.placeYMm },
      profileId: attempts.profileId,
    })
    .from(tries)
    .innerJoin(features, eq(tries.featureId, features.id))
    .innerJoin(prints, eq(tries.printId, prints.id))
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(drawnSizes, and(eq(drawnSizes.attemptId, attempts.id), eq(drawnSizes.featureId, features.id)))
    .innerJoin(
      printedFeatures,
      and(eq(printedFeatures.printId, prints.id), eq(printedFeatures.featureId, features.id)),
    );
}

/** Returns hand fits with their feature and drawn size, oldest first. */
export function listTries(db: Db, where: SQL | undefined) {
  return selectTries(db).where(where).orderBy(asc(tries.id)).all();
}

/** The newest words of the whole bench, newest first. */
export function listNewestTries(db: Db, most: number) {
  return selectTries(db).orderBy(desc(tries.id)).limit(most).all();
}

/** Features measured under a profile, with the names of their jobs. */
export function nameFeatures(db: Db, profileId: number) {
  return db
    .selectDistinct({ featureId: features.id, feature: features.name, job: jobs.name })
    .from(features)
    .innerJoin(jobs, eq(features.jobId, jobs.id))
    .innerJoin(drawnSizes, eq(drawnSizes.featureId, features.id))
    .innerJoin(attempts, eq(drawnSizes.attemptId, attempts.id))
    .where(ofProfile(profileId))
    .all();
}

/** What was expected of each feature of each print when it was drawn, print after print. */
export function listExpectations(db: Db, profileId: number) {
  const rows = db
    .select({
      printId: prints.id,
      of: { runId: prints.runId, attemptId: prints.attemptId, run: prints.run },
      featureId: drawnSizes.featureId,
      predictedMm: drawnSizes.predictedMm,
      sdMm: drawnSizes.sdMm,
    })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(drawnSizes, eq(drawnSizes.attemptId, attempts.id))
    .where(ofProfile(profileId))
    .orderBy(asc(prints.id))
    .all();
  return rows.flatMap(({ predictedMm, sdMm, ...row }) =>
    predictedMm === null || sdMm === null ? [] : { ...row, predictedMm, sdMm },
  );
}

/** Readings of pieces of known size that stand, of these instruments, oldest first. */
export function listChecks(db: Db, instrumentIds: readonly number[]) {
  if (instrumentIds.length === 0) return [];
  return db
    .select({ check: checkReadings, instrument: instruments })
    .from(checkReadings)
    .innerJoin(instruments, eq(checkReadings.instrumentId, instruments.id))
    .where(and(inArray(checkReadings.instrumentId, [...instrumentIds]), isNull(checkReadings.retractedAt)))
    .orderBy(asc(checkReadings.id))
    .all();
}

/** A sitting with its instrument. */
export function findSitting(db: Db, sessionId: number) {
  return db
    .select({ session: sessions, instrument: instruments })
    .from(sessions)
    .innerJoin(instruments, eq(sessions.instrumentId, instruments.id))
    .where(eq(sessions.id, sessionId))
    .get();
}

/** How many standing readings there are of each print of a profile. */
export function listPrintsRead(db: Db, profileId: number) {
  return db
    .select({ printId: readings.printId, count: count() })
    .from(readings)
    .innerJoin(prints, eq(readings.printId, prints.id))
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .leftJoin(retractions, eq(retractions.readingId, readings.id))
    .where(and(isNull(retractions.readingId), ofProfile(profileId)))
    .groupBy(readings.printId)
    .all();
}
