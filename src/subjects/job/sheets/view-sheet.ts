import { and, asc, eq, isNull } from 'drizzle-orm';
import { MATERIAL_FACTS } from '@/core/fit/mating';
import { asDiameter, type BodySize, estimateBody, type ReadAs } from '@/core/measure';
import { nextPlace, type Sheet, type SheetChoices, type SheetMeasure, workOutSheet } from '@/core/job/sheets';
import { type Db, instrumentOf, queries, tables } from '@/store';
import { wishGround } from '@/subjects/job/jobs';

export interface BodyReadingView {
  readonly id: number;
  readonly level: number;
  readonly turn: number;
  /** As measured, and the diameter or length that it gives. */
  readonly readingMm: number;
  readonly readAs: ReadAs;
  readonly mm: number;
}

/** A size of the sheet with what was read of it. */
interface MeasureView {
  readonly measure: SheetMeasure;
  readonly readings: readonly BodyReadingView[];
  readonly body?: BodySize;
  readonly mate?: queries.Mate;
}

/** A job's measuring sheet, evaluated as far as measured. */
export interface SheetView {
  readonly choices: SheetChoices;
  readonly sheet: Sheet;
  readonly measures: readonly MeasureView[];
  readonly next?: { readonly measure: string; readonly level: number; readonly turn: number };
  /** Names of the features that were transferred and have moved since. */
  readonly stale: readonly string[];
  readonly takenOver: boolean;
}

export function listBodyReadings(db: Db, jobId: number) {
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

export function placed({ reading }: StandingBodyReading): BodyReadingView {
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
    Math.abs(now.targetMm - feature.targetMm) > SAME_MM ||
    Math.abs(now.upperDeviationMm - feature.upperDeviationMm) > SAME_MM
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
  const ground = wishGround(db, job);
  const sheet = workOutSheet({
    ...choices,
    bodies,
    expansionPerK: (measure) => {
      const material = mateOf(measure)?.material;
      return material === undefined || material === 'resin'
        ? undefined
        : MATERIAL_FACTS[material].expansionPerK;
    },
    classes: ground.classes,
    conditions: { serviceC: job.fitC ?? 20, partExpansionPerK: ground.partExpansionPerK },
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
