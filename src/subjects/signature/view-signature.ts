import { count, desc, eq } from 'drizzle-orm';
import { judgeStaleness, type Staleness } from '@/core/signature';
import { type Db, featureIdOf, printKey, queries, runKey, tables } from '@/store';
import { type LearnedSignature, newestSignature } from './newest-signature';
import { type ChangeView, viewChanges } from './view-changes';
import { type ControlView, viewControl } from './view-control';

/** The newest signatures kept for a profile, newest first. */
export function listKeptSignatures(db: Db, profileId: number, most = 12) {
  const { signatures } = tables;
  return db
    .select()
    .from(signatures)
    .where(eq(signatures.profileId, profileId))
    .orderBy(desc(signatures.id))
    .limit(most)
    .all();
}

function countKept(db: Db, profileId: number): number {
  const { signatures } = tables;
  return db.select({ count: count() }).from(signatures).where(eq(signatures.profileId, profileId)).get()!
    .count;
}

/** One observation of the signature, with its prediction from everything else. */
interface ObservedLine {
  readonly feature: string;
  readonly job: string;
  readonly drawnMm: number;
  readonly offsetMm: number;
  readonly expectedOffsetMm: number;
  readonly u_mm: number;
  readonly suspicious: boolean;
}

export interface SignatureView {
  readonly row: queries.ProfileRow;
  readonly learned: LearnedSignature;
  readonly observed: readonly ObservedLine[];
  readonly staleness: Staleness;
  readonly control?: ControlView;
  /** What changed under it, the newest first. */
  readonly changes: readonly ChangeView[];
  /** Job of the newest print that it was learned from: where the same file can be printed again. */
  readonly newestJobId?: number;
  /** How many estimates were kept, and the newest of them, newest first. */
  readonly keptCount: number;
  readonly kept: readonly {
    readonly at: Date;
    readonly readings: number;
    readonly edgeMm: number;
    readonly featureScatterMm: number;
  }[];
}

/**
 * Mean z of each print against the values expected when it was drawn, oldest first; sizes are corrected ones.
 * Deviations in one print share its drift, so their mean is no more certain than one of them.
 */
function printMisses(db: Db, profileId: number, { report }: LearnedSignature): number[] {
  const misses = new Map<string, number[]>();
  // Of a feature that was read at several heights the first line counts.
  const readOf = new Map(
    report.features.toReversed().map((each) => [`${featureIdOf(each.feature)} ${each.print}`, each]),
  );
  for (const { printId, of, featureId, predictedMm, sdMm } of queries.listExpectations(db, profileId)) {
    const read = readOf.get(`${featureId} ${printKey(printId)}`);
    if (read === undefined) continue;
    const z = (read.size_mm - predictedMm) / Math.hypot(sdMm, read.u_mm);
    misses.set(runKey(of), [...(misses.get(runKey(of)) ?? []), z]);
  }
  return [...misses.values()].map((z) => z.reduce((sum, value) => sum + value, 0) / z.length);
}

/** Job of the newest print of a profile of which something was read. */
function newestJob(db: Db, profileId: number, { report }: LearnedSignature): number | undefined {
  const { attempts, prints } = tables;
  const read = new Set(report.features.map(({ print }) => print));
  return db
    .select({ printId: prints.id, jobId: attempts.jobId })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .where(eq(attempts.profileId, profileId))
    .orderBy(desc(prints.id))
    .all()
    .find(({ printId }) => read.has(printKey(printId)))?.jobId;
}

/** Is there a profile of this id? */
export function hasProfile(db: Db, profileId: number): boolean {
  return queries.findProfile(db, profileId) !== undefined;
}

/** A profile's signature with what it was learned from; undefined when there is no such profile. */
export function viewSignature(db: Db, profileId: number): SignatureView | undefined {
  const row = queries.findProfile(db, profileId);
  if (row === undefined) return undefined;
  const learned = newestSignature(db, profileId);
  const names = new Map(queries.nameFeatures(db, profileId).map((named) => [named.featureId, named]));
  const observed = learned.report.features.map((line): ObservedLine => {
    const named = names.get(featureIdOf(line.feature));
    return {
      feature: named?.feature ?? line.feature,
      job: named?.job ?? '',
      drawnMm: line.drawn_mm,
      offsetMm: line.offset_mm,
      expectedOffsetMm: line.predicted_mm - line.drawn_mm,
      u_mm: line.u_mm,
      suspicious: line.suspicious,
    };
  });
  const control = viewControl(db, profileId);
  const kept = listKeptSignatures(db, profileId).map(({ createdAt, readingCount, summary }) => ({
    at: createdAt,
    readings: readingCount,
    edgeMm: summary.parameters.find(({ name }) => name === 'edge')?.mean ?? 0,
    featureScatterMm: summary.scatter.feature_mm,
  }));
  return {
    row,
    learned,
    observed,
    control,
    changes: viewChanges(db, profileId),
    staleness: control?.staleness ?? judgeStaleness(printMisses(db, profileId, learned)),
    newestJobId: newestJob(db, profileId, learned),
    kept,
    keptCount: countKept(db, profileId),
  };
}
