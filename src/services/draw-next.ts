import type { PartCorrection } from '@/core/mesh';
import { fail, ok, type Result } from '@/core/result';
import { assessFit, drawFit, type DrawnFit, type FitTarget } from '@/core/fits';
import { jointChance, rankNextReadings, type ParameterName, type ReadingGain } from '@/core/signature';
import { queries, tables, type Db } from '@/db';
import { featureKey, printKey, targetOf } from './kinds';
import type { LearnedSignature } from './learn-signature';
import { noteLedger } from './ledger';
import { drawOptions, roundDrawn, type JobView } from './view-job';

/** What to draw next for one feature, beside what would happen if it were left as it is. */
export interface DrawLine {
  readonly feature: queries.Feature;
  readonly lastDrawnMm?: number;
  readonly next: DrawnFit;
  /** The same feature drawn as last time: the chance that a reprint alone would do. */
  readonly unchanged?: DrawnFit;
}

export interface DrawPlan {
  readonly lines: readonly DrawLine[];
  /** Chance that one print has every feature in tolerance. */
  readonly joint: number;
  readonly jointUnchanged?: number;
  /** Which reading would narrow the next print most, best first. */
  readonly nextReadings: readonly ReadingGain[];
}

/** Readings that could still be taken of the newest print: a set of three of each feature. */
function candidatesOf(view: JobView, learned: LearnedSignature) {
  const { current } = view;
  if (current?.printId === undefined) return [];
  const print = printKey(current.printId);
  return current.features.flatMap((feature) =>
    feature.drawnMm === undefined || feature.readings.length >= 3
      ? []
      : {
          feature: featureKey(feature.id),
          kind: feature.kind,
          drawnMm: feature.drawnMm,
          print,
          u_mm: 0.005,
          instrument: Object.keys(learned.instruments)[0],
        },
  );
}

/** Sizes to draw next for every feature of a job, with chances; undefined without a profile or features. */
export function planDraw(view: JobView): DrawPlan | undefined {
  const { learned } = view;
  if (learned === undefined || view.features.length === 0) return undefined;
  const options = drawOptions(view);
  const last = view.attempts.at(-1);
  const { signature } = learned;
  const targets: FitTarget[] = view.features.map((feature) => targetOf(feature, view.mates));
  const lines = view.features.map((feature, i): DrawLine => {
    const lastDrawnMm = last?.drawn.find(({ featureId }) => featureId === feature.id)?.drawnMm;
    const next = drawFit(signature, targets[i], options);
    const unchanged =
      lastDrawnMm === undefined ? undefined : assessFit(signature, targets[i], lastDrawnMm, options);
    return { feature, lastDrawnMm, next, unchanged };
  });
  const asLast = lines.map(({ lastDrawnMm }, i) => ({ target: targets[i], drawMm: lastDrawnMm ?? NaN }));
  return {
    lines,
    joint: jointChance(
      signature,
      lines.map(({ next }, i) => ({ target: targets[i], drawMm: next.drawMm })),
      options,
    ),
    jointUnchanged: asLast.every(({ drawMm }) => Number.isFinite(drawMm))
      ? jointChance(signature, asLast, options)
      : undefined,
    nextReadings: rankNextReadings(signature, targets, candidatesOf(view, learned)),
  };
}

export type StartIssue =
  { readonly code: 'noProfile' } | { readonly code: 'noFeatures' } | { readonly code: 'noReason' };

export interface NewAttempt {
  readonly lever: 'drawn' | 'mesh';
  readonly meshHash?: string;
  readonly reason: string;
  /** Drawn sizes by feature id; features left out keep what they had, or their target. */
  readonly drawnMm: ReadonlyMap<number, number>;
}

/** Starts the next attempt with its drawn sizes and what was expected of each, before anything is printed. */
export function startAttempt(db: Db, view: JobView, wanted: NewAttempt): Result<number, StartIssue> {
  const { job, learned } = view;
  if (job.profileId === null || learned === undefined) return fail({ code: 'noProfile' });
  if (view.features.length === 0) return fail({ code: 'noFeatures' });
  const last = view.attempts.at(-1);
  if (last !== undefined && wanted.reason.trim() === '') return fail({ code: 'noReason' });
  const number = (last?.number ?? 0) + 1;
  const options = drawOptions(view);
  const profileId = job.profileId;
  return db.transaction((tx) => {
    const attempt = tx
      .insert(tables.attempts)
      .values({
        jobId: job.id,
        number,
        profileId,
        lever: wanted.lever,
        meshHash: wanted.meshHash ?? null,
        reason: wanted.reason.trim(),
        createdAt: new Date(),
      })
      .returning()
      .get();
    for (const feature of view.features) {
      const before = last?.drawn.find(({ featureId }) => featureId === feature.id)?.drawnMm;
      const drawnMm = roundDrawn(wanted.drawnMm.get(feature.id) ?? before ?? feature.targetMm);
      const { predictedMm, sdMm, inTolerance } = assessFit(
        learned.signature,
        targetOf(feature, view.mates),
        drawnMm,
        options,
      );
      tx.insert(tables.drawnSizes)
        .values({
          attemptId: attempt.id,
          featureId: feature.id,
          drawnMm,
          predictedMm,
          sdMm,
          chance: inTolerance,
        })
        .run();
    }
    const sizes = view.features
      .map((feature) => roundDrawn(wanted.drawnMm.get(feature.id) ?? feature.targetMm))
      .slice(0, 4);
    noteLedger(
      tx as unknown as Db,
      job.id,
      'correct',
      `Attempt ${number} drawn ${sizes.join(' / ')}${view.features.length > 4 ? ' …' : ''}`,
      wanted.reason.trim() ||
        (learned.readingCount === 0
          ? 'no signature yet: the prior decided'
          : `${learned.readingCount} readings of this profile`),
    );
    return ok(attempt.id);
  });
}

/** Notes that an attempt was printed; a further print of the same file is another print of the attempt. */
export function notePrint(db: Db, attemptId: number, attemptNumber: number, jobId: number): number {
  return db.transaction((tx) => {
    const before =
      queries.listAttempts(tx as unknown as Db, jobId).find(({ id }) => id === attemptId)?.prints.length ?? 0;
    const name = before === 0 ? `A${attemptNumber}` : `A${attemptNumber}.${before + 1}`;
    return tx.insert(tables.prints).values({ attemptId, name, madeAt: new Date() }).returning().get().id;
  });
}

/** What a file's sizes are worth, by feature id; features that are not the job's are left out. */
export function assessSizes(
  view: JobView,
  drawnMm: ReadonlyMap<number, number>,
): (DrawnFit & { readonly id: number })[] {
  const { learned } = view;
  if (learned === undefined) return [];
  return view.features.flatMap((feature) => {
    const drawn = drawnMm.get(feature.id);
    if (drawn === undefined) return [];
    return {
      id: feature.id,
      ...assessFit(learned.signature, targetOf(feature, view.mates), drawn, drawOptions(view)),
    };
  });
}

/** What a signature says that a whole file can be corrected for. */
export function correctionFrom({ signature }: LearnedSignature): PartCorrection {
  const meanOf = (name: ParameterName) =>
    signature.parameters.find((parameter) => parameter.name === name)!.mean;
  return {
    epsilonX: meanOf('epsilonX'),
    epsilonY: meanOf('epsilonY'),
    epsilonZ: meanOf('epsilonZ'),
    skew: meanOf('skew'),
    edgeMm: meanOf('edge'),
    insideMm: meanOf('insideExtra'),
    roundMm2: meanOf('roundExtra'),
    zSupportedMm: meanOf('zSupported'),
    zPlateMm: meanOf('zPlate'),
  };
}
