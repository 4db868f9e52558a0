import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { type FeatureKind, sameKind } from '@/core/measure';
import { atOnce, fail, ok, partOf, type Result, type Steps } from '@/core/kit';
import {
  allOrNothing,
  type Db,
  evidenceChanged,
  kindColumns,
  kindOf,
  prepareInsert,
  queries,
  tables,
} from '@/store';
import { listInstruments } from '@/subjects/measure/calipers';
import { keepSignatures, type Later } from '@/subjects/signature';
import { bumpRevision, recordDecision } from '@/subjects/workshop/records';
import { type ReadingRow, readingsCsvSteps } from './input-readings-csv';
import type { MeasureEntry } from './words-decisions';
import type { ImportIssue } from './words-import';
import { nameAsPrinted } from './name-as-printed';

/** What an import did. */
interface ImportReport {
  readonly readings: number;
  readonly alreadyHere: number;
  readonly newFeatures: number;
  readonly newPrints: number;
}

/** A row with the names under which it may be here already. */
interface KeyedRow {
  readonly row: ReadingRow;
  /** Its identity in the file, if the file gives one. */
  readonly ownKey?: string;
  /** Its identity, from everything in its row of the file. */
  readonly key: string;
}

/** Numbers of a file and of the workshop that differ by less are equal, mm. */
const SAME_MM = 1e-9;

/** Rows that are keyed in one step. */
const STEP_ROWS = 500;

/** Gives each row its key: equal lines of one file are repeats, so they are counted; another job's are others. */
function* keySteps(jobId: number, rows: readonly ReadingRow[]): Steps<KeyedRow[]> {
  const occurrences = new Map<string, number>();
  const keyed: KeyedRow[] = [];
  for (const row of rows) {
    const { key: ownKey } = row;
    // Everything in its row of the file, without the line number.
    const facts = { ...row, line: undefined, key: undefined };
    const said = JSON.stringify([jobId, ownKey ?? '', facts]);
    const occurrence = ownKey === undefined ? (occurrences.get(said) ?? 0) : 0;
    occurrences.set(said, occurrence + 1);
    const hash = createHash('sha256')
      .update(JSON.stringify([said, occurrence]))
      .digest('hex');
    keyed.push({ row, ownKey, key: `csv-${hash}` });
    if (keyed.length % STEP_ROWS === 0) yield keyed.length / rows.length;
  }
  return keyed;
}

/** `importReadings` in steps: reading and keying can be stopped, the writing is one step. */
export function* importReadingsSteps(
  db: Db,
  jobId: number,
  text: string,
  later: Later = (work) => work(),
): Steps<Result<ImportReport, ImportIssue>> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  if (job.profileId === null) return fail({ code: 'noProfile' });
  const { profileId } = job;
  const parsed = yield* partOf(readingsCsvSteps(text), 0, 0.7);
  if (!parsed.ok) return parsed;
  const keyed = yield* partOf(keySteps(jobId, parsed.value), 0.7, 0.9);
  yield 0.9;
  const imported = allOrNothing(db, (tx) => new ReadingsImport(tx, jobId, profileId).run(keyed));
  if (imported.ok) later(() => keepSignatures(db, [profileId]));
  return imported;
}

/**
 * Takes the readings of a file into a job: features and prints that are not there yet are made (targets equal to the
 * drawn size until somebody says otherwise). All or nothing; the same file again, or the job's own, adds nothing.
 */
export function importReadings(db: Db, jobId: number, text: string): Result<ImportReport, ImportIssue> {
  return atOnce(importReadingsSteps(db, jobId, text));
}

interface KnownFeature {
  readonly id: number;
  readonly kind: FeatureKind;
}

interface KnownPrint {
  readonly printId: number;
  readonly attemptId: number;
  /** How its features lay, by feature id. */
  readonly lay: Map<number, FeatureKind>;
  /** Drawn sizes by feature id, mm. */
  readonly drawn: Map<number, number>;
}

class ReadingsImport {
  private readonly report = { readings: 0, alreadyHere: 0, newFeatures: 0, newPrints: 0 };
  private readonly sessions = new Map<string, number>();
  /** Features by the names under which a file may call them: one that was turned since has a second name. */
  private readonly features = new Map<string, KnownFeature>();
  private readonly prints = new Map<string, KnownPrint>();
  private readonly instruments: ReturnType<typeof listInstruments>;
  private newestAttempt: number;

  constructor(
    private readonly db: Db,
    private readonly jobId: number,
    private readonly profileId: number,
  ) {
    const features = queries.listFeatures(db, jobId);
    const attempts = queries.listAttempts(db, jobId);
    for (const { id, prints, drawn } of attempts) {
      const sizes = new Map(drawn.map(({ featureId, drawnMm }) => [featureId, drawnMm]));
      for (const { id: printId, name } of prints)
        this.prints.set(name, { printId, attemptId: id, lay: this.layIn(printId, features), drawn: sizes });
    }
    for (const feature of features)
      this.features.set(feature.name, { id: feature.id, kind: kindOf(feature) });
    this.newestAttempt = attempts.at(-1)?.number ?? 0;
    this.instruments = listInstruments(db);
  }

  /** How the features lay in a print; those turned since are known by a second name from now on. */
  private layIn(printId: number, features: readonly queries.Feature[]): Map<number, FeatureKind> {
    const lay = new Map<number, FeatureKind>();
    for (const printed of queries.printedById(this.db, printId).values()) {
      const feature = features.find((each) => each.id === printed.featureId);
      const kind = kindOf(printed);
      lay.set(printed.featureId, kind);
      if (feature !== undefined)
        this.features.set(nameAsPrinted({ feature, printed }), { id: feature.id, kind });
    }
    return lay;
  }

  run(rows: readonly KeyedRow[]): Result<ImportReport, ImportIssue> {
    const store = this.prepareInsert();
    const holderOf = this.prepareLookUp();
    for (const { row, ownKey, key } of rows) {
      const place = this.placeOf(row);
      if (!place.ok) return place;
      // A reading that was taken out of this job comes back as itself; out of another job, as a copy.
      const held = ownKey === undefined ? undefined : holderOf(ownKey);
      const isOwn = ownKey !== undefined && (held?.jobId ?? this.jobId) === this.jobId;
      if (isOwn && held !== undefined && Math.abs(held.readingMm - row.readingMm) > SAME_MM) {
        const { line, feature, readingMm } = row;
        return fail({ code: 'otherReading', line, feature, haveMm: held.readingMm, fileMm: readingMm });
      }
      const clientKey = isOwn ? ownKey : key;
      if (store(clientKey, place.value, row)) this.report.readings++;
      else this.report.alreadyHere++;
    }
    bumpRevision(this.db, this.jobId);
    const { readings, newFeatures } = this.report;
    const entry: MeasureEntry = { code: 'readingsTakenIn', readings, newFeatures };
    recordDecision(this.db, this.jobId, 'measure', entry);
    evidenceChanged(this.db, { jobId: this.jobId });
    return ok(this.report);
  }

  /** The reading of this key that is here already, in whichever job. */
  private prepareLookUp() {
    const { readings, features } = tables;
    const found = this.db
      .select({ jobId: features.jobId, readingMm: readings.readingMm })
      .from(readings)
      .innerJoin(features, sql`${features.id} = ${readings.featureId}`)
      .where(sql`${readings.clientKey} = ${sql.placeholder('key')}`)
      .prepare();
    return (key: string) => found.get({ key });
  }

  private prepareInsert() {
    const columns = [
      'client_key',
      'session_id',
      'feature_id',
      'print_id',
      'reading_mm',
      'height_mm',
      'taken_at',
    ];
    const insert = prepareInsert(this.db, 'readings', columns);
    const now = Date.now();
    return (
      clientKey: string,
      { sessionId, featureId, printId }: { sessionId: number; featureId: number; printId: number },
      { readingMm, heightMm, takenAt }: ReadingRow,
    ): boolean => {
      const time = takenAt === undefined ? NaN : Date.parse(takenAt);
      const takenMs = Number.isNaN(time) ? now : time;
      return insert(clientKey, sessionId, featureId, printId, readingMm, heightMm ?? null, takenMs).isNew;
    };
  }

  /** Where a row belongs: its feature, print and session, made where they are not there. */
  private placeOf(
    row: ReadingRow,
  ): Result<{ sessionId: number; featureId: number; printId: number }, ImportIssue> {
    const { line } = row;
    const feature = this.featureFor(row);
    const print = this.printFor(row);
    if (!sameKind(print.lay.get(feature.id) ?? feature.kind, row.kind))
      return fail({ code: 'otherKind', line, feature: row.feature, firstLine: line });
    const drawn = this.drawnFor(row, print, feature.id);
    if (Math.abs(drawn - row.drawnMm) > SAME_MM)
      return fail({ code: 'otherDrawn', line, feature: row.feature, haveMm: drawn, fileMm: row.drawnMm });
    const sessionId = this.sessionFor(row);
    if (sessionId === undefined) return fail({ code: 'noInstrument', line, name: row.instrument ?? '' });
    return ok({ sessionId, featureId: feature.id, printId: print.printId });
  }

  private featureFor(row: ReadingRow): KnownFeature {
    const known = this.features.get(row.feature);
    if (known !== undefined) return known;
    this.report.newFeatures++;
    const { id } = this.db
      .insert(tables.features)
      .values({
        jobId: this.jobId,
        position: this.features.size,
        name: row.feature,
        ...kindColumns(row.kind),
        targetMm: row.drawnMm,
        lowerDeviationMm: -0.1,
        upperDeviationMm: 0.1,
      })
      .returning()
      .get();
    const made = { id, kind: row.kind };
    this.features.set(row.feature, made);
    return made;
  }

  private printFor(row: ReadingRow): KnownPrint {
    const known = this.prints.get(row.print);
    if (known !== undefined) return known;
    this.report.newPrints++;
    const { jobId, profileId } = this;
    const number = ++this.newestAttempt;
    const attempt = this.db
      .insert(tables.attempts)
      .values({ jobId, number, profileId, createdAt: new Date() })
      .returning()
      .get();
    const print = this.db
      .insert(tables.prints)
      .values({ attemptId: attempt.id, name: row.print, madeAt: new Date() })
      .returning()
      .get();
    const made = {
      printId: print.id,
      attemptId: attempt.id,
      lay: new Map(),
      drawn: new Map<number, number>(),
    };
    this.prints.set(row.print, made);
    return made;
  }

  private drawnFor({ drawnMm, kind }: ReadingRow, print: KnownPrint, featureId: number): number {
    const { attemptId, printId, lay, drawn } = print;
    const known = drawn.get(featureId);
    if (known !== undefined && lay.has(featureId)) return known;
    this.db.insert(tables.drawnSizes).values({ attemptId, featureId, drawnMm }).onConflictDoNothing().run();
    this.db
      .insert(tables.printedFeatures)
      .values({ printId, featureId, ...kindColumns(kind) })
      .onConflictDoNothing()
      .run();
    lay.set(featureId, kind);
    drawn.set(featureId, known ?? drawnMm);
    return known ?? drawnMm;
  }

  private sessionFor(row: ReadingRow): number | undefined {
    const { instruments } = this;
    const instrument =
      row.instrument === undefined ? instruments[0] : instruments.find(({ name }) => name === row.instrument);
    if (instrument === undefined) return undefined;
    const { state = 'cured', warm, zeroMm = 0, partC, instrumentC } = row;
    const said = JSON.stringify([instrument.id, state, warm, zeroMm, partC, instrumentC]);
    const known = this.sessions.get(said);
    if (known !== undefined) return known;
    const values = {
      jobId: this.jobId,
      instrumentId: instrument.id,
      zeroMm,
      partC,
      instrumentC,
      state,
      warm,
    };
    const made = this.db
      .insert(tables.sessions)
      .values({ ...values, startedAt: new Date() })
      .returning()
      .get();
    this.sessions.set(said, made.id);
    return made.id;
  }
}
