import { groupBy } from '@/core/kit';
import {
  estimateSize,
  type FeatureKind,
  type Jaw,
  type JawBias,
  jawBias,
  jawOf,
  judgeConformity,
  type PartState,
  type PooledScatter,
  shiftSize,
  type SizeEstimate,
  type Verdict,
} from '@/core/measure';
import { convertState, type StateShift } from '@/core/signature';
import { correctedMm, type Db, instrumentOf, limitState, queries, warmthUOf } from '@/store';

/** A jaw that was checked on pieces of known size, and what it adds to every size. */
export interface CheckedJaw extends JawBias {
  readonly instrumentId: number;
  readonly jaw: Jaw;
}

/** What the jaws that took these readings add, where somebody checked them. */
export function listCheckedJaws(
  db: Db,
  readings: readonly queries.StandingReading[],
  pooled: PooledScatter | undefined,
): CheckedJaw[] {
  const checks = queries.listChecks(db, [...new Set(readings.map(({ instrument }) => instrument.id))]);
  const byJaw = groupBy(checks, ({ check }) => `${check.instrumentId} ${check.jaw}`);
  return [...byJaw.values()].map((rows) => {
    const [{ check, instrument }] = rows;
    const pieces = rows.map((row) => ({ ...row.check, u_mm: row.check.uMm }));
    return {
      instrumentId: check.instrumentId,
      jaw: check.jaw,
      ...jawBias(pieces, instrumentOf(instrument), pooled),
    };
  });
}

/** What the readings of a print are judged with. */
export interface Judging {
  readonly job: queries.Job;
  readonly pooled: PooledScatter | undefined;
  /** Shifts between states, as the profile was last found. */
  readonly shifts: readonly StateShift[];
  readonly checkedJaws: readonly CheckedJaw[];
}

/** A size with its verdict. */
export interface JudgedSize {
  readonly size?: SizeEstimate;
  readonly resolutionMm: number;
  readonly verdict?: Verdict;
  /** Read in another state than that in which its limits hold: what it comes to there, which is what is judged. */
  readonly converted?: { readonly read: PartState; readonly counts: PartState; readonly size: SizeEstimate };
  /** Read in another state, and nothing tells what it comes to where its limits hold: not judged. */
  readonly otherState?: { readonly read: PartState; readonly counts: PartState };
}

/** A feature as printed. */
interface Printed {
  readonly kind: FeatureKind;
  readonly drawnMm: number;
}

/** The size that readings of one sitting come to, with its verdict in the state that counts. */
export function judgeSize(
  { job, pooled, shifts, checkedJaws }: Judging,
  feature: queries.Feature,
  { kind, drawnMm }: Printed,
  readings: readonly queries.StandingReading[],
): JudgedSize {
  const last = readings.at(-1);
  if (last === undefined) return { resolutionMm: 0.01 };
  const instrument = instrumentOf(last.instrument);
  const { resolutionMm } = instrument;
  const bias = checkedJaws.find(
    ({ instrumentId, jaw }) => instrumentId === last.instrument.id && jaw === jawOf(kind.sense),
  );
  const warmthU = warmthUOf(readings);
  const size = estimateSize(readings.map(correctedMm), { instrument, pooled, warmthU, bias });
  // What is left of the jaws' bias stands where the limit of error did.
  const mpeMm = bias === undefined ? instrument.mpeMm : Math.sqrt(3) * bias.u_mm;
  const [read, counts] = [last.session.state, limitState(job, feature)];
  // A gauge is read in whatever state is to be learned.
  if (job.kind !== 'part' || read === counts)
    return { size, resolutionMm, verdict: judgeConformity(size, feature, mpeMm, job.rule) };
  const between = { from: read, to: counts, coatMm: feature.coatMm };
  const conversion = convertState(kind, drawnMm, between, shifts);
  if (conversion === undefined) return { size, resolutionMm, otherState: { read, counts } };
  const there = shiftSize(size, conversion.offsetMm, conversion.u_mm);
  return {
    size,
    resolutionMm,
    converted: { read, counts, size: there },
    verdict: judgeConformity(there, feature, mpeMm, job.rule),
  };
}
