import { and, asc, eq } from 'drizzle-orm';
import {
  estimateLadder,
  findLadderNote,
  summariseLadder,
  chanceFree,
  type GapDirection,
  type JointKind,
  type Ladder,
  type LadderNote,
  type LadderSummary,
  type Rung,
  type RungOutcome,
} from '@/core/fits';
import { findGaugeIssue, gaugeAnchors, gaugeFeatures, type GaugeIssue, type GaugeSpec } from '@/core/gauges';
import type { PartState } from '@/core/metrology';
import type { Target } from '@/core/signature';
import { expectOk, fail, ok, type Result } from '@/core/result';
import { queries, tables, type Db } from '@/db';
import { startAttempt } from './draw-next';
import { noteLedger } from './ledger';
import { kindColumns, targetOf } from './kinds';
import { viewJob, type JobView } from './view-job';

/** Targets of a job, for a block chosen to tell about them; undefined when it has none. */
export function targetsOf({ features, mates }: JobView): Target[] | undefined {
  return features.length === 0 ? undefined : features.map((feature) => targetOf(feature, mates));
}

export interface NewGauge {
  readonly name: string;
  readonly profileId: number;
  readonly spec: GaugeSpec;
  /** What a pocket, hole or pin ladder is tried with. */
  readonly mate?: { readonly name: string; readonly sizeMm: number; readonly u_mm: number };
}

/** Half width of a gauge size's limits, mm: they only scale its strip, a gauge has nothing to fit. */
const GAUGE_LIMIT_MM = 0.1;

/** Its one attempt, at the sizes it is made of, with what is expected of each before it is printed. */
function drawAsItIs(db: Db, jobId: number, profileId: number): void {
  const view = viewJob(db, jobId)!;
  if (view.features.length === 0) {
    db.insert(tables.attempts).values({ jobId, number: 1, profileId, createdAt: new Date() }).run();
    noteLedger(db, jobId, 'correct', 'Gauge drawn', 'as it is: what the printer does to it is the answer');
    return;
  }
  const drawnMm = new Map(view.features.map(({ id, targetMm }) => [id, targetMm]));
  expectOk(startAttempt(db, view, { lever: 'drawn', reason: '', drawnMm }));
}

/** Makes a gauge as a job of its own, drawn as it is: its file is ready, its sizes stand in the order of reading. */
export function createGauge(db: Db, wanted: NewGauge): Result<number, GaugeIssue> {
  const { spec, profileId, name, mate } = wanted;
  const issue = findGaugeIssue(spec);
  if (issue !== undefined) return fail(issue);
  const anchors = gaugeAnchors(spec);
  return db.transaction((tx) => {
    const { id: jobId } = tx
      .insert(tables.jobs)
      .values({ kind: 'gauge', name, profileId, gauge: spec, createdAt: new Date() })
      .returning()
      .get();
    const mateId =
      mate === undefined
        ? null
        : tx
            .insert(tables.mates)
            .values({ jobId, name: mate.name, sizeMm: mate.sizeMm, uMm: mate.u_mm })
            .returning()
            .get().id;
    // Rungs of joints are tried by the hand, not read.
    const sizes = spec.kind === 'joint' ? [] : gaugeFeatures(spec);
    sizes.forEach(({ feature, kind, drawnMm }, position) => {
      const anchor = anchors.get(feature);
      tx.insert(tables.features)
        .values({
          jobId,
          position,
          name: feature,
          ...kindColumns(kind),
          targetMm: drawnMm,
          lowerMm: -GAUGE_LIMIT_MM,
          upperMm: GAUGE_LIMIT_MM,
          mateId,
          anchor: anchor === undefined ? null : [anchor[0], anchor[1], anchor[2]],
        })
        .run();
    });
    drawAsItIs(tx as unknown as Db, jobId, profileId);
    return ok(jobId);
  });
}

export interface NewRung {
  readonly clientKey: string;
  readonly printId: number;
  readonly rung: number;
  readonly outcome: RungOutcome;
  readonly state: PartState;
}

/** Keeps what the hand found at a rung; the last outcome of a rung in a print counts. */
export function recordRung(db: Db, wanted: NewRung): Result<void, { readonly code: 'gone' }> {
  const { prints, attempts, jobs } = tables;
  const row = db
    .select({ gauge: jobs.gauge })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(jobs, eq(attempts.jobId, jobs.id))
    .where(eq(prints.id, wanted.printId))
    .get();
  if (row?.gauge?.kind !== 'joint' || row.gauge.stepsMm[wanted.rung - 1] === undefined)
    return fail({ code: 'gone' });
  db.insert(tables.rungs)
    .values({ ...wanted, takenAt: new Date() })
    .onConflictDoNothing()
    .run();
  return ok(undefined);
}

/** A rung as it was found in one print. */
export interface FoundRung extends Rung {
  readonly rung: number;
  readonly printId: number;
  readonly profileId: number;
  /** In which state it was tried. */
  readonly state: PartState;
  readonly joint: JointKind;
  readonly direction: GapDirection;
}

/** The last outcome of every rung of every print of a joint gauge on this bench, oldest first. */
export function listRungs(db: Db): FoundRung[] {
  const { rungs, prints, attempts, jobs } = tables;
  const rows = db
    .select({ found: rungs, gauge: jobs.gauge, profileId: attempts.profileId })
    .from(rungs)
    .innerJoin(prints, eq(rungs.printId, prints.id))
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(jobs, eq(attempts.jobId, jobs.id))
    .orderBy(asc(rungs.id))
    .all();
  const last = new Map(rows.map((row) => [`${row.found.printId}/${row.found.rung}`, row]));
  return [...last.values()].flatMap(({ found, gauge, profileId }) => {
    if (gauge?.kind !== 'joint') return [];
    const gapMm = gauge.stepsMm[found.rung - 1];
    if (gapMm === undefined) return [];
    const { rung, printId, outcome, state } = found;
    return {
      rung,
      printId,
      outcome,
      state,
      gapMm,
      profileId,
      joint: gauge.joint,
      direction: gauge.direction,
    };
  });
}

export interface LadderView {
  readonly ladder: Ladder;
  readonly summary: LadderSummary;
  readonly note?: LadderNote;
  /** P(free) over the drawn gap, for the chart. */
  readonly curve: readonly { readonly gapMm: number; readonly chance: number }[];
}

const CURVE_STEPS = 40;

/** What rungs come to, with the curve of coming free. */
export function viewLadder(rungs: readonly Rung[]): LadderView {
  const ladder = estimateLadder(rungs);
  const summary = summariseLadder(ladder);
  const most = Math.max(0.5, 1.15 * summary.recommendedMm, ...rungs.map(({ gapMm }) => gapMm));
  const curve = Array.from({ length: CURVE_STEPS + 1 }, (_, i) => {
    const gapMm = (most * i) / CURVE_STEPS;
    return { gapMm, chance: chanceFree(ladder, gapMm) };
  });
  return { ladder, summary, note: findLadderNote(rungs), curve };
}

/** A gauge as the list shows it. */
export interface GaugeGlance {
  readonly id: number;
  readonly name: string;
  readonly profile: string;
  readonly profileId: number | null;
  readonly gauge: GaugeSpec | null;
  readonly printed: boolean;
  readonly found: number;
  readonly of: number;
}

export function glanceAtGauges(db: Db): GaugeGlance[] {
  const all = listRungs(db);
  return queries
    .listJobs(db)
    .filter(({ job }) => job.kind === 'gauge')
    .map(({ job, printer, resin, profile }) => {
      const prints = queries.listAttempts(db, job.id).flatMap((attempt) => attempt.prints);
      const ids = new Set(prints.map(({ id }) => id));
      const features = queries.listFeatures(db, job.id);
      const read = new Set(
        queries.listStandingReadings(db, queries.ofJob(job.id)).map(({ feature }) => feature.id),
      );
      const isJoint = job.gauge?.kind === 'joint';
      return {
        id: job.id,
        name: job.name,
        profile: printer === null || resin === null ? '' : `${resin.name} on ${printer.name}`,
        profileId: profile?.id ?? null,
        gauge: job.gauge,
        printed: prints.length > 0,
        found: isJoint
          ? new Set(all.filter(({ printId }) => ids.has(printId)).map(({ rung }) => rung)).size
          : read.size,
        of: job.gauge?.kind === 'joint' ? job.gauge.stepsMm.length : features.length,
      };
    });
}

/** Outcomes found in one print, by rung. */
export function rungsOfPrint(db: Db, printId: number): Map<number, RungOutcome> {
  const { rungs } = tables;
  const rows = db
    .select()
    .from(rungs)
    .where(and(eq(rungs.printId, printId)))
    .orderBy(asc(rungs.id))
    .all();
  return new Map(rows.map(({ rung, outcome }) => [rung, outcome]));
}
