import {
  estimateSize,
  type FeatureKind,
  judgeConformity,
  type PartState,
  type PooledScatter,
  pooledScatter,
  shiftSize,
  type SizeEstimate,
  type Verdict,
} from '@/core/metrology';
import { mixtureMoments } from '@/core/numerics';
import { convertState, type FitWord, predictSize, type StateShift } from '@/core/signature';
import {
  correctedMm,
  type Db,
  instrumentOf,
  isAtPlate,
  kindOf,
  limitState,
  printedKey,
  printKey,
  queries,
  warmthUOf,
} from '@/store';
import type { LearnedSignature } from '@/subjects/printing';

/** A size expected of a print before it is read. */
interface Prediction {
  readonly meanMm: number;
  readonly sdMm: number;
}

interface ReadingView {
  readonly id: number;
  /** As its sender named it. */
  readonly clientKey: string;
  readonly readingMm: number;
  /** It agrees neither with its repeats nor with the law. */
  readonly suspicious?: { readonly z: number; readonly guessMm: number | null };
  /** Taken at the plate edge, where the first layers flare: not part of the size. */
  readonly atPlate: boolean;
}

/** A feature in one print of one attempt, ready to be shown. */
export interface FeatureView {
  readonly id: number;
  readonly name: string;
  /** As it lay in that print; as it will lie where there is none. */
  readonly kind: FeatureKind;
  /** Name of its habit in the signature. */
  readonly key: string;
  readonly targetMm: number;
  readonly lowerDeviationMm: number;
  readonly upperDeviationMm: number;
  readonly mate?: queries.Mate;
  readonly anchor: readonly [number, number, number] | null;
  readonly drawnMm?: number;
  readonly predicted?: Prediction;
  readonly readings: readonly ReadingView[];
  readonly size?: SizeEstimate;
  readonly resolutionMm: number;
  readonly verdict?: Verdict;
  /** Read in another state than that in which its limits hold: what it comes to there, which is what is judged. */
  readonly converted?: { readonly read: PartState; readonly counts: PartState; readonly size: SizeEstimate };
  /** Read in another state, and nothing tells what it comes to where its limits hold: not judged. */
  readonly otherState?: { readonly read: PartState; readonly counts: PartState };
  readonly word?: FitWord;
  /** Weight of the push at that word, N. */
  readonly pushN?: number;
}

export interface PrintView {
  readonly attemptId: number;
  readonly attemptNumber: number;
  readonly printId?: number;
  readonly printName?: string;
  readonly brokenNote?: string;
  readonly features: readonly FeatureView[];
}

function groupBy<Item, Key>(items: readonly Item[], keyOf: (item: Item) => Key): Map<Key, Item[]> {
  const groups = new Map<Key, Item[]>();
  for (const item of items) {
    const group = groups.get(keyOf(item));
    if (group === undefined) groups.set(keyOf(item), [item]);
    else group.push(item);
  }
  return groups;
}

function sizeOf(
  readings: readonly queries.StandingReading[],
  pooled: PooledScatter | undefined,
): SizeEstimate | undefined {
  if (readings.length === 0) return undefined;
  const { instrument } = readings[readings.length - 1];
  return estimateSize(readings.map(correctedMm), {
    instrument: instrumentOf(instrument),
    pooled,
    warmthU: warmthUOf(readings),
  });
}

/**
 * The newest sitting in the state that counts decides, else the newest of all: readings of another state or instrument,
 * or at the plate, are kept but not mixed in.
 */
function ofOneSitting(all: readonly queries.StandingReading[], counts: PartState): queries.StandingReading[] {
  const readings = all.filter((reading) => !isAtPlate(reading));
  const last = readings.findLast(({ session }) => session.state === counts) ?? readings.at(-1);
  if (last === undefined) return [];
  return readings.filter(
    ({ session }) =>
      session.state === last.session.state &&
      session.warm === last.session.warm &&
      session.instrumentId === last.session.instrumentId,
  );
}

/** How a feature lay in a print, with the name of its habit. */
type Lying = Pick<FeatureView, 'kind' | 'key'>;

/** What was expected of this feature in this print: as noted when it was drawn, or what all but its own readings say. */
function predictionOf(
  learned: LearnedSignature | undefined,
  lying: Lying,
  drawn: queries.DrawnSizeRow | undefined,
  print: queries.Print | undefined,
): Prediction | undefined {
  if (drawn === undefined) return undefined;
  if (drawn.predictedMm !== null && drawn.sdMm !== null)
    return { meanMm: drawn.predictedMm, sdMm: drawn.sdMm };
  if (learned === undefined || learned.readingCount === 0) return undefined;
  const expected = expectedOf(learned, lying, drawn.drawnMm);
  const here = print && printKey(print.id);
  const own = learned.report.features.find((each) => each.feature === lying.key && each.print === here);
  return own === undefined ? expected : { meanMm: own.predicted_mm, sdMm: expected.sdMm };
}

/** What the law and the feature's other prints say of a feature drawn so; its own habit counts where it was measured. */
function expectedOf(learned: LearnedSignature, { kind, key }: Lying, drawnMm: number): Prediction {
  const mixture = predictSize(learned.signature, { kind, drawnMm, feature: key });
  const { mean, sd } = mixtureMoments(mixture);
  return { meanMm: mean, sdMm: sd };
}

type Doubts = LearnedSignature['report']['suspicious'];

function viewReading(reading: queries.StandingReading, doubts: Doubts): ReadingView {
  const { id, clientKey, readingMm } = reading;
  const doubt = doubts.find(({ line }) => line === id);
  const suspicious = doubt && { z: doubt.z, guessMm: doubt.guess_mm };
  return { id, clientKey, readingMm, atPlate: isAtPlate(reading), suspicious };
}

/** What readings are judged with. */
interface Judging {
  readonly job: queries.Job;
  readonly pooled: PooledScatter | undefined;
  /** Shifts between states, as the profile was last found. */
  readonly shifts: readonly StateShift[];
}

type Judged = Pick<FeatureView, 'size' | 'resolutionMm' | 'otherState' | 'converted' | 'verdict'>;

/** The size that readings of one sitting come to, with its verdict in the state that counts. */
function judge(
  { job, pooled, shifts }: Judging,
  feature: queries.Feature,
  { kind, drawnMm }: { readonly kind: FeatureKind; readonly drawnMm: number },
  readings: readonly queries.StandingReading[],
): Judged {
  const size = sizeOf(readings, pooled);
  const last = readings.at(-1);
  if (size === undefined || last === undefined) return { resolutionMm: 0.01 };
  const { resolutionMm, mpeMm } = last.instrument;
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

interface PrintContext {
  readonly job: queries.Job;
  readonly features: readonly queries.Feature[];
  readonly mates: readonly queries.Mate[];
  readonly learned?: LearnedSignature;
}

/** One attempt on one print: sizes with U, verdicts, predictions, doubts and words. */
export function viewPrint(
  db: Db,
  context: PrintContext,
  attempt: queries.AttemptWithPrints,
  print?: queries.Print,
): PrintView {
  const readings = print === undefined ? [] : queries.listStandingReadings(db, queries.ofPrint(print.id));
  const lay = print === undefined ? undefined : queries.printedById(db, print.id);
  const words = print === undefined ? [] : queries.listTries(db, queries.ofPrint(print.id));
  const ofFeature = groupBy(readings, (reading) => reading.feature.id);
  const stateOf = new Map(context.features.map((feature) => [feature.id, limitState(context.job, feature)]));
  const counted = new Map(
    [...ofFeature].map(([id, all]) => [id, ofOneSitting(all, stateOf.get(id) ?? 'cured')]),
  );
  const pooled = pooledScatter([...counted.values()].map((group) => group.map(correctedMm)));
  const shifts = context.learned?.signature.shifts ?? queries.listKeptShifts(db, attempt.profileId);
  const judging = { job: context.job, pooled, shifts };
  const doubts = context.learned?.report.suspicious ?? [];
  const features = context.features.map((feature): FeatureView => {
    const printed = lay?.get(feature.id) ?? { ...feature, featureId: feature.id, printId: 0 };
    const lying = { kind: kindOf(printed), key: printedKey({ feature, printed }) };
    const own = counted.get(feature.id) ?? [];
    const drawn = attempt.drawn.find(({ featureId }) => featureId === feature.id);
    const mate = context.mates.find(({ id }) => id === feature.mateId);
    const said = words.filter(({ attempt: word }) => word.featureId === feature.id).at(-1)?.attempt;
    return {
      id: feature.id,
      name: feature.name,
      ...lying,
      targetMm: feature.targetMm,
      lowerDeviationMm: feature.lowerDeviationMm,
      upperDeviationMm: feature.upperDeviationMm,
      mate,
      anchor: printed.anchor,
      drawnMm: drawn?.drawnMm,
      predicted: predictionOf(context.learned, lying, drawn, print),
      readings: (ofFeature.get(feature.id) ?? []).map((reading) => viewReading(reading, doubts)),
      ...judge(judging, feature, { ...lying, drawnMm: drawn?.drawnMm ?? feature.targetMm }, own),
      word: said?.word,
      pushN: said?.pushN ?? undefined,
    };
  });
  return {
    attemptId: attempt.id,
    attemptNumber: attempt.number,
    printId: print?.id,
    printName: print?.name,
    brokenNote: print?.brokenNote,
    features,
  };
}
