import { and, desc, eq } from 'drizzle-orm';
import {
  limitsOf,
  turnPoint,
  type CheckLimits,
  type CheckRules,
  type Finding,
  type Rooms,
  type Stance,
} from '@/core/findings';
import type { Point } from '@/core/mesh';
import { evidenceOf } from '@/core/resins';
import { fail, ok, type Result } from '@/core/result';
import { tables, type Db } from '@/db';
import { listRungs, viewLadder } from './gauges';
import { listJoints } from './joints';
import { bumpRevision, noteLedger } from './ledger';
import { partOfJob, type JobPart } from './part-of-job';
import { findShelved, resinFile } from './shelf';
import type { JobView } from './view-job';

export type Verdict = 'passed' | 'waived';

/** A finding with what was decided of it on this file. */
export interface JudgedFinding extends Finding {
  readonly verdict?: Verdict;
  readonly reason?: string;
}

export interface CheckView {
  readonly part?: JobPart;
  readonly stance?: Stance;
  readonly limits: CheckLimits;
  readonly critical: readonly Point[];
  /** What was decided of findings on this file, by key. */
  readonly verdicts: Readonly<Record<string, { readonly verdict: Verdict; readonly reason: string }>>;
  /** The newest look at this file standing so; undefined: not looked at yet. */
  readonly last?: { readonly at: Date; readonly findings: readonly JudgedFinding[] };
}

/** Gap that a ladder of this profile found to stay open in the plane, mm. */
function ladderGap(db: Db, profileId: number): number | undefined {
  const rungs = listRungs(db).filter((rung) => rung.profileId === profileId && rung.direction === 'plane');
  return rungs.length === 0 ? undefined : viewLadder(rungs).summary.recommendedMm;
}

/** Smallest detail that the sheet of a resin promises, mm. */
function leastFeature(db: Db, resinId: number): number | undefined {
  const shelved = findShelved(db, resinId);
  return shelved === undefined ? undefined : evidenceOf(resinFile(shelved)).of('leastFeature_mm')?.value;
}

/** Directions in which the flat sizes of a job run, as they were typed. */
function criticalDirections({ features }: JobView): Point[] {
  return features
    .filter(({ shape }) => shape === 'flat')
    .map(({ axis, angleRad }): Point => {
      if (axis === 'Z') return [0, 0, 1];
      const turn = axis === 'X' ? 0 : axis === 'Y' ? Math.PI / 2 : (angleRad ?? 0);
      return [Math.cos(turn), Math.sin(turn), 0];
    });
}

function limitsOfJob(db: Db, { job, profile }: JobView, rules: CheckRules): CheckLimits {
  const printer = profile?.printer;
  return limitsOf(
    {
      pixelMm: printer?.pixelMm ?? undefined,
      layerMm: profile?.profile.layerMm ?? 0.05,
      layerSeconds: printer?.layerSeconds ?? undefined,
      rooms: printer?.rooms ?? {},
      leastFeatureMm: profile === undefined ? undefined : leastFeature(db, profile.resin.id),
      ladderGapMm: profile === undefined ? undefined : ladderGap(db, profile.profile.id),
      jointGapsMm: listJoints(db, job.id).map(({ gapMm, scale }) => gapMm * scale),
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

const sameStance = (a: Stance, b: Stance): boolean => JSON.stringify(a) === JSON.stringify(b);

function lastCheck(db: Db, jobId: number) {
  const { checks } = tables;
  return db.select().from(checks).where(eq(checks.jobId, jobId)).orderBy(desc(checks.id)).limit(1).get();
}

/** The newest look at a job's file as it stands now, with what was decided; undefined: not looked at yet. */
function standingCheck(db: Db, { job }: JobView, part: JobPart | undefined): CheckView['last'] {
  const last = lastCheck(db, job.id);
  if (last === undefined || last.source !== part?.key) return undefined;
  if (job.stance === null || !sameStance(last.stance, job.stance)) return undefined;
  const verdicts = verdictsOn(db, job.id, part.key);
  return {
    at: last.at,
    findings: last.findings.map((finding) => ({ ...finding, ...verdicts[finding.key] })),
  };
}

/** Everything the Check step shows that does not need the mesh itself. */
export function viewCheck(db: Db, view: JobView, rules: CheckRules): CheckView {
  const part = partOfJob(view);
  return {
    part,
    stance: view.job.stance ?? undefined,
    limits: limitsOfJob(db, view, rules),
    critical: criticalDirections(view),
    verdicts: part === undefined ? {} : verdictsOn(db, view.job.id, part.key),
    last: standingCheck(db, view, part),
  };
}

const STANCE_WORDS: Readonly<Record<Stance['kind'], string>> = {
  plate: 'flat on the plate',
  supports: 'on supports',
  inFile: 'on the supports in its file',
};

/** Says how the part will stand; what was found of it standing otherwise does not count any more. */
export function setStance(db: Db, jobId: number, stance: Stance): void {
  db.update(tables.jobs).set({ stance }).where(eq(tables.jobs.id, jobId)).run();
  const lift = stance.kind === 'supports' ? ` of ${stance.liftMm} mm` : '';
  noteLedger(db, jobId, 'check', `Stands ${STANCE_WORDS[stance.kind]}${lift}`, 'asked before judging');
}

/** Keeps what a look at the layers found; the same look twice is kept once. */
export function keepCheck(
  db: Db,
  jobId: number,
  found: {
    readonly source: string;
    readonly stance: Stance;
    readonly layerMm: number;
    readonly findings: readonly Finding[];
  },
): void {
  const before = lastCheck(db, jobId);
  const keys = (findings: readonly Finding[]) => findings.map(({ key }) => key).join(' ');
  if (
    before !== undefined &&
    before.source === found.source &&
    sameStance(before.stance, found.stance) &&
    keys(before.findings) === keys(found.findings)
  )
    return;
  db.insert(tables.checks)
    .values({ jobId, ...found, at: new Date() })
    .run();
  const lost = found.findings.filter(({ risk }) => risk === 'printLost').length;
  noteLedger(
    db,
    jobId,
    'check',
    found.findings.length === 0
      ? 'Layers read: nothing found'
      : `Layers read: ${found.findings.length} found`,
    lost === 0 ? 'none that loses the print' : `${lost} could lose the print`,
  );
}

export type VerdictIssue = { readonly code: 'noReason' } | { readonly code: 'gone' };

/** Passes or waives a finding of the newest look, or opens it again; a waiver needs its reason. */
export function judgeFinding(
  db: Db,
  view: JobView,
  { key, verdict, reason, title }: { key: string; verdict: Verdict | 'open'; reason: string; title: string },
): Result<void, VerdictIssue> {
  const part = partOfJob(view);
  const last = lastCheck(db, view.job.id);
  if (part === undefined || last === undefined || !last.findings.some((finding) => finding.key === key))
    return fail({ code: 'gone' });
  if (verdict === 'waived' && reason.trim() === '') return fail({ code: 'noReason' });
  db.insert(tables.findingVerdicts)
    .values({
      jobId: view.job.id,
      source: part.key,
      key,
      title,
      verdict,
      reason: reason.trim(),
      at: new Date(),
    })
    .run();
  const word = { passed: 'Passed', waived: 'Waived', open: 'Open again' }[verdict];
  noteLedger(db, view.job.id, 'check', `${word}: ${title}`, reason.trim());
  return ok(undefined);
}

/** What was passed or waived before printing, on whatever file, oldest first; what was opened again is not told. */
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

/** How settled the Check step is: 0 without a look at this file; then the share of what could cost something judged. */
export function settledOfCheck(db: Db, view: JobView): number {
  const last = standingCheck(db, view, partOfJob(view));
  if (last === undefined) return 0;
  const grave = last.findings.filter(({ risk }) => risk !== 'surfaceMarred');
  const judged = grave.filter(({ verdict }) => verdict !== undefined).length;
  return grave.length === 0 ? 1 : 0.25 + (0.75 * judged) / grave.length;
}

/** After the part's file was turned: the places of its features go along. Their directions stay as they were typed. */
export function turnPlaces(db: Db, jobId: number, rotation: readonly number[], liftMm: number): void {
  const { features } = tables;
  const placed = db.select().from(features).where(eq(features.jobId, jobId)).all();
  db.transaction((tx) => {
    for (const { id, anchor } of placed) {
      if (anchor === null) continue;
      const [x, y, z] = turnPoint(rotation, anchor);
      tx.update(features)
        .set({ anchor: [x, y, z + liftMm] })
        .where(eq(features.id, id))
        .run();
    }
    bumpRevision(tx as unknown as Db, jobId);
    noteLedger(tx as unknown as Db, jobId, 'check', 'Part turned', 'its features’ places went along');
  });
}

/** Rooms of a printer's plate, bath and lamp, and what a layer takes. */
export function setStations(
  db: Db,
  printerId: number,
  { rooms, layerSeconds }: { readonly rooms: Rooms; readonly layerSeconds?: number },
): void {
  db.update(tables.printers)
    .set({ rooms, layerSeconds: layerSeconds ?? null })
    .where(eq(tables.printers.id, printerId))
    .run();
}

/** Printers with the rooms of their stations, by name. */
export function listStations(db: Db) {
  const { id, name, rooms, layerSeconds } = tables.printers;
  return db.select({ id, printer: name, rooms, layerSeconds }).from(tables.printers).orderBy(name).all();
}
