import { and, desc, eq } from 'drizzle-orm';
import {
  type CheckLimits,
  type CheckRules,
  countCrevicesOf,
  directionOf,
  type Finding,
  limitsOf,
  type PrintSetup,
} from '@/core/part/findings';
import type { GapDirection } from '@/core/fit/mating';
import type { Point } from '@/core/part/mesh';
import { evidenceOf } from '@/core/resin';
import { type Db, kindOf, tables } from '@/store';
import { listJoints, listTriedGaps } from '@/subjects/fit/mating';
import { viewGapTest } from '@/subjects/fit/gauges';
import { type JobPart, basePartOfJob, type JobView, partOfJob } from '@/subjects/job/jobs';
import { findShelved, resinFile } from '@/subjects/resin/shelf';

/** Which file is looked at: the one that would be printed, or the one before any correction. */
export type PartWanted = 'toPrint' | 'base';

export type Verdict = 'passed' | 'waived';

/** A finding with what was decided of it on this file. */
interface JudgedFinding extends Finding {
  readonly verdict?: Verdict;
  readonly reason?: string;
}

interface CheckView {
  readonly part?: JobPart;
  readonly stance?: PrintSetup;
  readonly limits: CheckLimits;
  readonly critical: readonly Point[];
  /** What was decided of findings on this file, by key. */
  readonly verdicts: Readonly<Record<string, { readonly verdict: Verdict; readonly reason: string }>>;
  /** The newest look at this file standing so; undefined: not looked at yet. */
  readonly last?: { readonly at: Date; readonly findings: readonly JudgedFinding[] };
}

/** Gap that a gap test of this profile found to stay open, between walls or below a roof, mm. */
function gapTestGap(db: Db, profileId: number, direction: GapDirection): number | undefined {
  const rungs = listTriedGaps(db).filter(
    (rung) => rung.profileId === profileId && rung.direction === direction,
  );
  return rungs.length === 0 ? undefined : viewGapTest(rungs).summary.recommendedMm;
}

/** Smallest detail that the sheet of a resin promises, and the support tip that it asks for, mm. */
function detailOf(db: Db, resinId: number) {
  const shelved = findShelved(db, resinId);
  const evidence = shelved && evidenceOf(resinFile(shelved));
  return {
    leastFeatureMm: evidence?.of('leastFeature_mm')?.value,
    tipMm: evidence?.of('supportTip_mm')?.value,
  };
}

/** Directions of the flat sizes of a job, as typed. */
function criticalDirections({ features }: JobView): Point[] {
  return features.filter(({ shape }) => shape === 'flat').map((feature) => directionOf(kindOf(feature)));
}

function limitsOfJob(db: Db, { job, profile }: JobView, rules: CheckRules): CheckLimits {
  const printer = profile?.printer;
  const joints = listJoints(db, job.id);
  return limitsOf(
    {
      pixelMm: printer?.pixelMm ?? undefined,
      layerMm: profile?.profile.layerMm ?? 0.05,
      layerSeconds: printer?.layerSeconds ?? undefined,
      rooms: printer?.rooms ?? {},
      ...(profile === undefined ? {} : detailOf(db, profile.resin.id)),
      ladderGapMm: profile && gapTestGap(db, profile.profile.id, 'plane'),
      ladderRoofMm: profile && gapTestGap(db, profile.profile.id, 'height'),
      jointGapsMm: joints.map(({ gapMm, scale }) => gapMm * scale),
      jointRoofsMm: joints.flatMap(({ heightGapMm, scale }) =>
        heightGapMm === null ? [] : heightGapMm * scale,
      ),
    },
    rules,
  );
}

function verdictsOn(db: Db, jobId: number, source: string): CheckView['verdicts'] {
  const { findingVerdicts } = tables;
  const verdicts: Record<string, { verdict: Verdict; reason: string }> = {};
  const rows = db
    .select()
    .from(findingVerdicts)
    .where(and(eq(findingVerdicts.jobId, jobId), eq(findingVerdicts.source, source)))
    .orderBy(findingVerdicts.id)
    .all();
  for (const { key, verdict, reason } of rows) {
    if (verdict === 'open') delete verdicts[key];
    else verdicts[key] = { verdict, reason };
  }
  return verdicts;
}

export const samePrintSetup = (a: PrintSetup, b: PrintSetup): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

export function lastCheck(db: Db, jobId: number) {
  const { checks } = tables;
  return db.select().from(checks).where(eq(checks.jobId, jobId)).orderBy(desc(checks.id)).limit(1).get();
}

/** The newest look at a job's file as it stands now, with what was decided; undefined: not looked at yet. */
function standingCheck(db: Db, { job }: JobView, part: JobPart | undefined): CheckView['last'] {
  const last = lastCheck(db, job.id);
  if (last === undefined || last.source !== part?.key) return undefined;
  if (job.stance === null || !samePrintSetup(last.stance, job.stance)) return undefined;
  const verdicts = verdictsOn(db, job.id, part.key);
  return {
    at: last.at,
    findings: last.findings.map((finding) => ({ ...finding, ...verdicts[finding.key] })),
  };
}

/** Everything the Check step shows that does not need the mesh itself. */
export function viewCheck(
  db: Db,
  view: JobView,
  rules: CheckRules,
  wanted: PartWanted = 'toPrint',
): CheckView {
  const part = wanted === 'base' ? basePartOfJob(view) : partOfJob(view);
  return {
    part,
    stance: view.job.stance ?? undefined,
    limits: limitsOfJob(db, view, rules),
    critical: criticalDirections(view),
    verdicts: part === undefined ? {} : verdictsOn(db, view.job.id, part.key),
    last: standingCheck(db, view, part),
  };
}

/** What the newest look at a job's file found; undefined where nobody looked at it as it stands. */
export function listFindings(db: Db, view: JobView): readonly Finding[] | undefined {
  return standingCheck(db, view, partOfJob(view))?.findings;
}

/** Findings that could lose the print of the file as it stands, and that nobody passed or waived. */
export function listOpenLosses(db: Db, view: JobView): Finding[] {
  const found = standingCheck(db, view, partOfJob(view))?.findings ?? [];
  return found.filter(({ risk, verdict }) => risk === 'printLost' && verdict === undefined);
}

/** The part was never looked at as it would be printed now, though there is one to look at. */
export function isUnchecked(db: Db, view: JobView): boolean {
  const part = partOfJob(view);
  return part !== undefined && standingCheck(db, view, part) === undefined;
}

/** Places of a part that hold liquid: what the check found of hollows and narrow gaps, and its joints printed in place. */
export function countCrevices(db: Db, view: JobView): number {
  const found = standingCheck(db, view, partOfJob(view))?.findings ?? [];
  return countCrevicesOf(found) + listJoints(db, view.job.id).length;
}

/**
 * Returns what was passed or waived before printing, on any file, oldest first; findings that were reopened are left
 * out.
 */
export function listVerdicts(db: Db, jobId: number) {
  const { findingVerdicts } = tables;
  const all = db
    .select()
    .from(findingVerdicts)
    .where(eq(findingVerdicts.jobId, jobId))
    .orderBy(findingVerdicts.id)
    .all();
  const last = new Map(all.map((row) => [`${row.source} ${row.key}`, row]));
  return [...last.values()].filter(({ verdict }) => verdict !== 'open');
}

/**
 * Returns how complete the Check step is: 0 before this file was checked; then the share of costly findings with a
 * verdict.
 */
export function settledOfCheck(db: Db, view: JobView): number {
  const last = standingCheck(db, view, partOfJob(view));
  if (last === undefined) return 0;
  const grave = last.findings.filter(({ risk }) => risk !== 'surfaceMarred');
  const judged = grave.filter(({ verdict }) => verdict !== undefined).length;
  return grave.length === 0 ? 1 : 0.25 + (0.75 * judged) / grave.length;
}
