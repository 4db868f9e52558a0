import { and, asc, eq, isNull } from 'drizzle-orm';
import { MATERIAL_FACTS } from '@/core/fits';
import {
  asDiameter,
  estimateBody,
  findDoubt,
  type BodySize,
  type Doubt,
  type ReadAs,
} from '@/core/metrology';
import { fail, ok, type Result } from '@/core/result';
import {
  nextPlace,
  workOutSheet,
  type Sheet,
  type SheetChoices,
  type SheetFeature,
  type SheetIssue,
  type SheetMeasure,
} from '@/core/sheets';
import { anchorsOf } from '@/core/solids';
import { queries, tables, type Db } from '@/db';
import { keepMateBody } from './fits';
import { readHouseRules } from './house-rules';
import { instrumentOf, kindColumns } from './kinds';
import { bumpRevision, noteLedger } from './ledger';

export type BodyIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'noInstrument' }
  | { readonly code: 'doubt'; readonly doubt: Doubt; readonly readingMm: number };

export type TakeOverIssue =
  | { readonly code: 'noSheet' }
  | { readonly code: 'sheet'; readonly issue: SheetIssue }
  | { readonly code: 'nameTaken'; readonly name: string };

export interface BodyReadingView {
  readonly id: number;
  readonly level: number;
  readonly turn: number;
  /** As it was read, and the diameter or length that it stands for. */
  readonly readingMm: number;
  readonly readAs: ReadAs;
  readonly mm: number;
}

/** A size of the sheet with what was read of it. */
export interface MeasureView {
  readonly measure: SheetMeasure;
  readonly readings: readonly BodyReadingView[];
  readonly body?: BodySize;
  readonly mate?: queries.Mate;
}

/** A job's measuring sheet, worked out as far as it was read. */
export interface SheetView {
  readonly choices: SheetChoices;
  readonly sheet: Sheet;
  readonly measures: readonly MeasureView[];
  readonly next?: { readonly measure: string; readonly level: number; readonly turn: number };
  /** Names of the features that were taken over already and have moved since. */
  readonly stale: readonly string[];
  readonly takenOver: boolean;
}

/** Chooses the sheet a job is measured by, or what is chosen on it. Readings stay, by the name of their size. */
export function chooseSheet(db: Db, jobId: number, sheet: SheetChoices): void {
  db.update(tables.jobs).set({ sheet }).where(eq(tables.jobs.id, jobId)).run();
  bumpRevision(db, jobId);
}

function listBodyReadings(db: Db, jobId: number) {
  const { bodyReadings, instruments } = tables;
  return db
    .select({ reading: bodyReadings, instrument: instruments })
    .from(bodyReadings)
    .innerJoin(instruments, eq(bodyReadings.instrumentId, instruments.id))
    .where(and(eq(bodyReadings.jobId, jobId), isNull(bodyReadings.retractedAt)))
    .orderBy(asc(bodyReadings.id))
    .all();
}

type StandingBodyReading = ReturnType<typeof listBodyReadings>[number];

function placed({ reading }: StandingBodyReading): BodyReadingView {
  const { id, level, turn, readingMm, readAs } = reading;
  return { id, level, turn, readingMm, readAs, mm: asDiameter(readingMm, readAs) };
}

function bodiesOf(choices: SheetChoices, rows: readonly StandingBodyReading[]): Map<string, BodySize> {
  const bodies = new Map<string, BodySize>();
  const { measures } = workOutSheet({ ...choices, bodies });
  for (const { id, sense } of measures) {
    const own = rows.filter(({ reading }) => reading.measure === id);
    const last = own.at(-1);
    if (last === undefined) continue;
    bodies.set(id, estimateBody(own.map(placed), sense, instrumentOf(last.instrument)));
  }
  return bodies;
}

const SAME_MM = 5e-5;

function isStale(sheet: Sheet, feature: queries.Feature): boolean {
  const now = sheet.features.find(({ id }) => id === feature.sheetFeature);
  if (now === undefined) return feature.sheetFeature !== null;
  return (
    Math.abs(now.targetMm - feature.targetMm) > SAME_MM || Math.abs(now.upperMm - feature.upperMm) > SAME_MM
  );
}

/** Works out the sheet of a job; undefined when it is on none. */
export function viewSheet(db: Db, jobId: number): SheetView | undefined {
  const job = queries.findJob(db, jobId);
  if (job === undefined || job.sheet === null) return undefined;
  const choices = job.sheet;
  const rows = listBodyReadings(db, jobId);
  const mates = queries.listMates(db, jobId);
  const mateOf = (measure: string) => mates.find((mate) => mate.measure === measure);
  const bodies = bodiesOf(choices, rows);
  const sheet = workOutSheet({
    ...choices,
    bodies,
    expansionPerK: (measure) => {
      const material = mateOf(measure)?.material;
      return material === undefined || material === 'resin'
        ? undefined
        : MATERIAL_FACTS[material].expansionPerK;
    },
    classes: readHouseRules(db).fitClasses,
    conditions: { serviceC: job.fitC ?? 20 },
  });
  const measures = sheet.measures.map((measure): MeasureView => ({
    measure,
    readings: rows.filter(({ reading }) => reading.measure === measure.id).map(placed),
    body: bodies.get(measure.id),
    mate: mateOf(measure.id),
  }));
  const next = nextPlace(
    sheet.measures,
    (id) => measures.find(({ measure }) => measure.id === id)?.readings ?? [],
  );
  const features = queries.listFeatures(db, jobId);
  const ofSheet = features.filter(({ sheetFeature }) => sheetFeature !== null);
  return {
    choices,
    sheet,
    measures,
    next: next && { measure: next.measure.id, level: next.level, turn: next.turn },
    stale: ofSheet.filter((feature) => isStale(sheet, feature)).map(({ name }) => name),
    takenOver: ofSheet.length > 0,
  };
}

export interface NewBodyReading {
  readonly clientKey: string;
  readonly jobId: number;
  readonly measure: string;
  readonly level: number;
  readonly turn: number;
  readonly readingMm: number;
  readonly readAs: ReadAs;
  readonly instrumentId: number;
  /** The person was asked about the doubt and said that the reading is right. */
  readonly confirmed: boolean;
}

/** Stores a reading of the old part or its neighbour, once; one that looks like a slip comes back as a doubt first. */
export function recordBody(db: Db, wanted: NewBodyReading): Result<number, BodyIssue> {
  const { bodyReadings, instruments } = tables;
  const known = db.select().from(bodyReadings).where(eq(bodyReadings.clientKey, wanted.clientKey)).get();
  if (known !== undefined) return ok(known.id);
  if (queries.findJob(db, wanted.jobId) === undefined) return fail({ code: 'gone' });
  if (db.select().from(instruments).where(eq(instruments.id, wanted.instrumentId)).get() === undefined)
    return fail({ code: 'noInstrument' });
  const others = listBodyReadings(db, wanted.jobId).filter(
    ({ reading }) => reading.measure === wanted.measure,
  );
  const size = asDiameter(wanted.readingMm, wanted.readAs);
  const expected = others.map((row) => placed(row).mm).sort((a, b) => a - b)[Math.floor(others.length / 2)];
  const doubt = findDoubt(size, expected ?? size);
  if (doubt !== undefined && (!wanted.confirmed || doubt.code === 'notPositive'))
    return fail({ code: 'doubt', doubt, readingMm: size });
  const { clientKey, jobId, measure, level, turn, readingMm, readAs, instrumentId } = wanted;
  const row = db
    .insert(bodyReadings)
    .values({ clientKey, jobId, measure, level, turn, readingMm, readAs, instrumentId, takenAt: new Date() })
    .returning()
    .get();
  bumpRevision(db, jobId);
  return ok(row.id);
}

/** Takes a reading back; it stays on record. Without an id the newest one. */
export function takeBackBody(db: Db, jobId: number, readingId?: number): boolean {
  const standing = listBodyReadings(db, jobId);
  const taken =
    readingId === undefined ? standing.at(-1) : standing.find(({ reading }) => reading.id === readingId);
  if (taken === undefined) return false;
  db.update(tables.bodyReadings)
    .set({ retractedAt: new Date() })
    .where(eq(tables.bodyReadings.id, taken.reading.id))
    .run();
  bumpRevision(db, jobId);
  return true;
}

function keepSheetFeature(
  db: Db,
  jobId: number,
  view: SheetView,
  feature: SheetFeature,
  position: number,
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
  const { kind, name, targetMm, lowerMm, upperMm } = feature;
  const values = {
    ...kindColumns(kind),
    targetMm,
    lowerMm,
    upperMm,
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

/**
 * Takes the sheet's sizes over into the job: mates as read, features with targets by their wishes, and the part where
 * the sheet defines it. Again later, it changes what has moved and leaves names,
 * attempts and readings alone.
 */
export function takeOverSheet(db: Db, jobId: number): Result<number, TakeOverIssue> {
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
    const own = tx as unknown as Db;
    const attempt = queries.listAttempts(own, jobId).at(-1);
    const ids = new Map<string, number>();
    sheet.features.forEach((feature, i) =>
      ids.set(feature.id, keepSheetFeature(own, jobId, view, feature, others.length + i)),
    );
    for (const { id, sheetFeature } of queries.listFeatures(own, jobId)) {
      if (sheetFeature !== null && !ids.has(sheetFeature))
        tx.update(tables.features).set({ removedAt: new Date() }).where(eq(tables.features.id, id)).run();
    }
    placeOnSolid(own, view, ids, jobId);
    if (attempt !== undefined && (view.stale.length > 0 || !view.takenOver)) {
      tx.update(tables.jobs).set({ needChangedAt: new Date() }).where(eq(tables.jobs.id, jobId)).run();
      for (const [key, id] of ids) {
        const drawnMm = sheet.features.find((each) => each.id === key)!.targetMm;
        tx.insert(tables.drawnSizes)
          .values({ attemptId: attempt.id, featureId: id, drawnMm })
          .onConflictDoNothing()
          .run();
      }
    }
    bumpRevision(own, jobId);
    noteLedger(
      own,
      jobId,
      'need',
      view.takenOver ? `Sheet taken over again` : `Sheet taken over, ${ids.size} sizes`,
      sheet.features.map(({ name, targetMm }) => `${name} ${targetMm.toFixed(3)}`).join(', '),
    );
    return ok(ids.size);
  });
}
