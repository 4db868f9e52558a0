import { eq } from 'drizzle-orm';
import { elongationForPress, elongationForSnap } from '@/core/fits';
import type { Claim } from '@/core/need';
import {
  COST_FACTS,
  findRequirementIssue,
  NO_REQUIREMENT,
  rankResins,
  type CostFacts,
  type PrinterFacts,
  type Ranked,
  type Requirement,
  type RequirementIssue,
} from '@/core/resins';
import { fail, ok, type Result } from '@/core/result';
import { queries, tables, type Db } from '@/db';
import { createProfile } from './equipment';
import { readHouseRules } from './house-rules';
import { bumpRevision, noteLedger } from './ledger';
import { listVats, resinFile } from './shelf';

/** Claims of a need that only a resin rated for them may meet; pressure and vehicles have no rating, only cautions. */
const RATED_CLAIMS: Partial<Record<Claim, string>> = {
  mains: 'mains',
  skin: 'skin',
  mouth: 'mouth',
  food: 'food',
  sterile: 'sterile',
  heat: 'flame',
};

/** What the need, the fits and the house ask of the resin, before anything was added under Resin. */
export function requirementFromNeed(db: Db, job: queries.Job): Requirement {
  const { liquids, roomC } = readHouseRules(db);
  const strains = Object.values(job.strainAsked);
  return {
    ...NO_REQUIREMENT,
    serviceMax_C: job.hottestC,
    strainMax: strains.length === 0 ? null : Math.max(...strains),
    claims: job.claims.flatMap((claim) => RATED_CLAIMS[claim] ?? []),
    washWith: liquids,
    room_C: roomC ?? null,
  };
}

/**
 * What a job asks of its resin: what was said under Resin stands over what follows from the rest. A claim of the need
 * cannot be talked away there, only added to.
 */
export function requirementOf(db: Db, job: queries.Job): Requirement {
  const base = requirementFromNeed(db, job);
  const claims = [...new Set([...base.claims, ...(job.requirement.claims ?? [])])];
  return { ...base, ...job.requirement, claims };
}

/** Lets go of what was said under Resin about what has since changed in the need or the fits: the newer word counts. */
export function dropOvertaken(db: Db, jobId: number, before: Requirement): void {
  const job = queries.findJob(db, jobId)!;
  const after = requirementFromNeed(db, job);
  const standing = Object.entries(job.requirement).filter(([field]) => {
    const name = field as keyof Requirement;
    return name === 'claims' || same(before[name], after[name]);
  });
  if (standing.length < Object.keys(job.requirement).length)
    db.update(tables.jobs)
      .set({ requirement: Object.fromEntries(standing) as Partial<Requirement> })
      .where(eq(tables.jobs.id, jobId))
      .run();
}

/** The printers a choice may be made for: a feature must hold on the finest of them, a vat counts in any. */
interface BenchFacts {
  readonly printer: PrinterFacts;
  readonly costs: CostFacts;
}

function factsOfBench(db: Db, pixelMm: number | undefined): BenchFacts {
  const vats = listVats(db);
  const { changeoverMl } = readHouseRules(db);
  return {
    printer: { pixelMm },
    costs: { ...COST_FACTS, changeoverMl, inVat: vats.flatMap(({ resin }) => resin ?? []) },
  };
}

export interface Choice {
  readonly requirement: Requirement;
  readonly ranked: readonly Ranked[];
  readonly shelf: readonly queries.ShelvedResin[];
}

/** The whole shelf held against a job; `pixelMm` is that of its printer. */
export function viewChoice(db: Db, job: queries.Job, pixelMm?: number): Choice {
  const shelf = queries.listShelf(db);
  const requirement = requirementOf(db, job);
  return {
    requirement,
    shelf,
    ranked: rankResins(shelf.map(resinFile), requirement, factsOfBench(db, pixelMm)),
  };
}

/** How the resin of a job stands against what is asked; undefined without one. */
export function verdictOfJob(db: Db, job: queries.Job): Ranked | undefined {
  if (job.profileId === null) return undefined;
  const row = queries.findProfile(db, job.profileId);
  const found = row && queries.findResin(db, row.resin.id);
  if (row === undefined || found === undefined) return undefined;
  const { printer, costs } = factsOfBench(db, row.printer.pixelMm ?? undefined);
  return rankResins([resinFile(found)], requirementOf(db, job), { printer, costs })[0];
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Keeps what is asked of the resin; only what differs from the need is kept, so that the need goes on counting. */
export function saveRequirement(
  db: Db,
  jobId: number,
  wanted: Requirement,
): Result<
  void,
  { readonly code: 'gone' } | { readonly code: 'requirement'; readonly issue: RequirementIssue }
> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  const issue = findRequirementIssue(wanted);
  if (issue !== undefined) return fail({ code: 'requirement', issue });
  const base = requirementFromNeed(db, job);
  const own = Object.fromEntries(
    Object.entries(wanted).filter(([field, value]) => !same(value, base[field as keyof Requirement])),
  ) as Partial<Requirement>;
  if (same(own, job.requirement)) return ok(undefined);
  db.update(tables.jobs).set({ requirement: own }).where(eq(tables.jobs.id, jobId)).run();
  bumpRevision(db, jobId);
  return ok(undefined);
}

/** A strain that a fit puts into the printed part. */
export type StrainAsked =
  | { readonly kind: 'press'; readonly strain: number }
  | { readonly kind: 'snap'; readonly strain: number; readonly use: 'once' | 'repeated' };

/** Hands a strain worked out under Fit to the choice of the resin, as the elongation at break that bears it. */
export function askStrain(
  db: Db,
  jobId: number,
  asked: StrainAsked,
): Result<number, { readonly code: 'gone' }> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  const before = requirementFromNeed(db, job);
  const elongation =
    asked.kind === 'press' ? elongationForPress(asked.strain) : elongationForSnap(asked.strain, asked.use);
  db.update(tables.jobs)
    .set({ strainAsked: { ...job.strainAsked, [asked.kind]: elongation } })
    .where(eq(tables.jobs.id, jobId))
    .run();
  dropOvertaken(db, jobId, before);
  const detail = `${(asked.strain * 100).toFixed(2)} % strain asks for ${(elongation * 100).toFixed(1)} % at break`;
  noteLedger(db, jobId, 'fit', asked.kind === 'press' ? 'Press fit' : 'Snap', detail);
  bumpRevision(db, jobId);
  return ok(elongation);
}

export interface ResinPick {
  readonly resinId: number;
  readonly printerId: number;
  readonly layerMm: number;
  /** Why, in the person's words beside what the program found. */
  readonly reason: string;
  /** What the choice found, in words. */
  readonly found: string;
}

/**
 * Chooses a resin on a printer for a job: the profile that is there is taken, or one is made, unmeasured. Sizes drawn for
 * another process are open again.
 */
export function chooseResin(db: Db, jobId: number, pick: ResinPick): Result<void, { readonly code: 'gone' }> {
  const job = queries.findJob(db, jobId);
  const resin = queries.findResin(db, pick.resinId)?.resin;
  const { printers } = tables;
  const printer = db.select().from(printers).where(eq(printers.id, pick.printerId)).get();
  if (job === undefined || resin === undefined || printer === undefined) return fail({ code: 'gone' });
  return db.transaction((tx) => {
    const own = tx as unknown as Db;
    const known = queries
      .listProfiles(own)
      .find((row) => row.resin.id === resin.id && row.printer.id === printer.id);
    const made =
      known === undefined
        ? createProfile(own, {
            printerName: printer.name,
            standIn: printer.standInSeed !== null,
            resinName: resin.name,
            profileName: `${pick.layerMm} mm`,
            layerMm: pick.layerMm,
            lot: '',
          })
        : ok(known.profile.id);
    if (!made.ok) return fail({ code: 'gone' });
    const moved = job.profileId !== made.value && queries.listAttempts(own, jobId).length > 0;
    tx.update(tables.jobs)
      .set({
        profileId: made.value,
        resinChosenId: resin.id,
        ...(moved ? { needChangedAt: new Date() } : {}),
      })
      .where(eq(tables.jobs.id, jobId))
      .run();
    const detail = [pick.found, pick.reason].filter((text) => text !== '').join('; ');
    noteLedger(own, jobId, 'resin', `${resin.name} on ${printer.name}`, detail);
    bumpRevision(own, jobId);
    return ok(undefined);
  });
}
