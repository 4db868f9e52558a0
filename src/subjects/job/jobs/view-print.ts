import { groupBy } from '@/core/kit';
import { type FeatureKind, type PartState, pooledScatter } from '@/core/measure';
import { mixtureMoments } from '@/core/kit/numerics';
import { type FitWord, predictSize } from '@/core/signature';
import {
  correctedMm,
  type Db,
  isAtPlate,
  kindOf,
  limitState,
  printedKey,
  printKey,
  queries,
  runKey,
} from '@/store';
import { drawnControl, type LearnedSignature } from '@/subjects/signature';
import { type CheckedJaw, type JudgedSize, judgeSize, listCheckedJaws } from './judge-size';

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
export interface FeatureView extends JudgedSize {
  readonly id: number;
  readonly name: string;
  /** As it lay in that print; as it will lie where there is none. */
  readonly kind: FeatureKind;
  /** Name of its repeatable deviation in the signature. */
  readonly key: string;
  readonly targetMm: number;
  readonly lowerDeviationMm: number;
  readonly upperDeviationMm: number;
  readonly mate?: queries.Mate;
  readonly anchor: readonly [number, number, number] | null;
  readonly drawnMm?: number;
  readonly predicted?: Prediction;
  readonly readings: readonly ReadingView[];
  readonly word?: FitWord;
  /** Weight of the push at that word, N. */
  readonly pushN?: number;
}

export interface PrintView {
  readonly attemptId: number;
  readonly attemptNumber: number;
  readonly printId?: number;
  readonly printName?: string;
  /** The run of the printer that it came out of. */
  readonly run?: string;
  readonly brokenNote?: string;
  /** Jaws whose bias a piece of known size told: it is taken off the sizes. */
  readonly checkedJaws: readonly CheckedJaw[];
  readonly features: readonly FeatureView[];
  /** The control feature of the profile, which stood beside the part; what was expected of it when it was first read. */
  readonly control?: FeatureView;
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

/** Place and direction of a feature in a print, with the name of its repeatable deviation. */
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

/**
 * Returns the prediction for a feature with this drawn size, from the law and its other prints; its own repeatable
 * deviation counts if it was measured.
 */
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

interface PrintContext {
  readonly job: queries.Job;
  readonly features: readonly queries.Feature[];
  readonly mates: readonly queries.Mate[];
  readonly learned?: LearnedSignature;
}

/** The control feature beside the part of a print, with its drawn and expected size. */
function controlOf(
  db: Db,
  { job }: PrintContext,
  attempt: queries.AttemptWithPrints,
  lay: ReadonlyMap<number, queries.PrintedFeature>,
): { readonly feature: queries.Feature; readonly drawn: queries.DrawnSizeRow } | undefined {
  const control = drawnControl(db, attempt.profileId);
  const printed = control && lay.get(control.feature.id);
  if (control === undefined || printed === undefined || control.feature.jobId === job.id) return undefined;
  const { feature, drawnMm } = control;
  const expected = { predictedMm: printed.expectedMm, sdMm: printed.expectedSdMm, chance: null };
  return { feature, drawn: { attemptId: attempt.id, featureId: feature.id, drawnMm, ...expected } };
}

/** Beyond so many standard deviations a control feature is far off. */
const FAR_SD = 3;

/** A control feature has no limits to keep: what is expected of it takes their place on its strip. */
function aroundExpected(view: FeatureView): FeatureView {
  const { predicted, targetMm } = view;
  if (predicted === undefined) return view;
  const [middle, half] = [predicted.meanMm - targetMm, FAR_SD * predicted.sdMm];
  return { ...view, lowerDeviationMm: middle - half, upperDeviationMm: middle + half };
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
  const control = lay === undefined ? undefined : controlOf(db, context, attempt, lay);
  const all = control === undefined ? context.features : [...context.features, control.feature];
  const drawnOf = control === undefined ? attempt.drawn : [...attempt.drawn, control.drawn];
  const stateOf = new Map(all.map((feature) => [feature.id, limitState(context.job, feature)]));
  const counted = new Map(
    [...ofFeature].map(([id, all]) => [id, ofOneSitting(all, stateOf.get(id) ?? 'cured')]),
  );
  const pooled = pooledScatter([...counted.values()].map((group) => group.map(correctedMm)));
  const shifts = context.learned?.signature.shifts ?? queries.listKeptShifts(db, attempt.profileId);
  const checkedJaws = listCheckedJaws(db, readings, pooled);
  const judging = { job: context.job, pooled, shifts, checkedJaws };
  const doubts = context.learned?.report.suspicious ?? [];
  const views = all.map((feature): FeatureView => {
    const printed = lay?.get(feature.id) ?? { ...feature, featureId: feature.id, printId: 0 };
    const lying = { kind: kindOf(printed), key: printedKey({ feature, printed }) };
    const own = counted.get(feature.id) ?? [];
    const drawn = drawnOf.find(({ featureId }) => featureId === feature.id);
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
      ...judgeSize(judging, feature, { ...lying, drawnMm: drawn?.drawnMm ?? feature.targetMm }, own),
      word: said?.word,
      pushN: said?.pushN ?? undefined,
    };
  });
  return {
    attemptId: attempt.id,
    attemptNumber: attempt.number,
    printId: print?.id,
    printName: print?.name,
    run: print && runKey(print),
    brokenNote: print?.brokenNote,
    checkedJaws,
    features: views.slice(0, context.features.length),
    control: control && aroundExpected(views[context.features.length]),
  };
}
