import { and, asc, eq } from 'drizzle-orm';
import {
  chanceFree,
  estimateGapTest,
  findGapTestNote,
  type GapDirection,
  type JointKind,
  type GapTest,
  type GapTestNote,
  type GapTestSummary,
  type GapStep,
  type GapStepOutcome,
  summariseGapTest,
} from '@/core/fit/mating';
import type { PartState } from '@/core/measure';
import { type Db, tables } from '@/store';

/** A step as found in one print. */
export interface FoundGapStep extends GapStep {
  readonly rung: number;
  readonly printId: number;
  readonly profileId: number;
  /** In which state it was tried. */
  readonly state: PartState;
  readonly joint: JointKind;
  readonly direction: GapDirection;
  /** How much of `gapMm` is what an exposure changed since has moved; see asGapsNow. */
  readonly movedMm?: number;
}

/** Returns the last outcome of every step of every print of a joint gauge in this workshop, oldest first. */
export function listGapSteps(db: Db): FoundGapStep[] {
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

export interface GapTestView {
  readonly ladder: GapTest;
  readonly summary: GapTestSummary;
  readonly note?: GapTestNote;
  /** P(free) over the drawn gap, for the chart. */
  readonly curve: readonly { readonly gapMm: number; readonly chance: number }[];
}

const CURVE_STEPS = 40;

/** Result of gap test steps, with the curve of coming free. */
export function viewGapTest(rungs: readonly GapStep[]): GapTestView {
  const ladder = estimateGapTest(rungs);
  const summary = summariseGapTest(ladder);
  const most = Math.max(0.5, 1.15 * summary.recommendedMm, ...rungs.map(({ gapMm }) => gapMm));
  const curve = Array.from({ length: CURVE_STEPS + 1 }, (_, i) => {
    const gapMm = (most * i) / CURVE_STEPS;
    return { gapMm, chance: chanceFree(ladder, gapMm) };
  });
  return { ladder, summary, note: findGapTestNote(rungs), curve };
}

/** Outcomes found in one print, by step. */
export function gapStepsOfPrint(db: Db, printId: number): Map<number, GapStepOutcome> {
  const { rungs } = tables;
  const rows = db
    .select()
    .from(rungs)
    .where(and(eq(rungs.printId, printId)))
    .orderBy(asc(rungs.id))
    .all();
  return new Map(rows.map(({ rung, outcome }) => [rung, outcome]));
}
