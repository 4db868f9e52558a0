import { keepAnswer } from '@/core/kit';
import type { Jaw } from '@/core/measure';
import {
  assessFit,
  dividingLayers,
  drawFit,
  type DrawnFit,
  type FitTarget,
  type SnapChoices,
  snapChoices,
} from '@/core/fit/mating';
import {
  chanceOfAllCopies,
  type DrawOptions,
  foreseeCheck,
  jointChance,
  type ParameterName,
  rankNextReadings,
  type ReadingGain,
} from '@/core/signature';
import { featureIdOf, printKey, queries, targetOf } from '@/store';
import { drawOptions, type JobView } from '@/subjects/job/jobs';
import type { LearnedSignature } from '@/subjects/signature';

/** What to draw next for one feature, beside what would happen if it were left as it is. */
interface DrawLine {
  readonly feature: queries.Feature;
  readonly lastDrawnMm?: number;
  readonly next: DrawnFit;
  /** The same feature drawn as last time: the chance that a reprint alone would do. */
  readonly unchanged?: DrawnFit;
  /** The sizes on the printer's grid of pixels or layers next to the wanted one. */
  readonly snap?: Snap;
}

interface Snap extends SnapChoices {
  /** Layer heights that would divide a height, mm. */
  readonly dividing: readonly number[];
}

function snapOf(
  signature: LearnedSignature['signature'],
  target: FitTarget,
  options: DrawOptions,
): Snap | undefined {
  const choices = snapChoices(signature, target, options);
  if (choices === undefined) return undefined;
  const isHeight = target.kind.axis === 'Z';
  return { ...choices, dividing: isHeight ? dividingLayers(choices.wantedMm, choices.stepMm) : [] };
}

/** What reading a piece of known size three times would bring. */
interface CheckGain {
  readonly instrument: string;
  readonly jaw: Jaw;
  readonly joint: number;
}

export interface DrawPlan {
  readonly lines: readonly DrawLine[];
  /** Chance that one print has every feature in tolerance. */
  readonly joint: number;
  readonly jointUnchanged?: number;
  /** Chance that all the copies wanted have every feature in tolerance; undefined where one is wanted. */
  readonly allCopies?: number;
  /** The jaw whose check on a known piece would lift the chance of all most, with that chance. */
  readonly check?: CheckGain;
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
          feature: feature.key,
          kind: feature.kind,
          drawnMm: feature.drawnMm,
          print,
          run: current.run,
          u_mm: 0.005,
          instrument: Object.keys(learned.instruments)[0],
        },
  );
}

/** Readings of a piece that are foreseen, and what a gauge block or ring is known to, mm. */
const CHECK_READINGS = 3;
const PIECE_U_MM = 0.001;
/** A chance that is lifted by less is not worth the walk. */
const WORTH_SAYING = 0.01;

/** The check of a caliper that would lift the chance of all most; undefined where none lifts it by a hundredth. */
function bestCheck(
  learned: LearnedSignature,
  joint: number,
  jointWith: (signature: LearnedSignature['signature']) => number,
): CheckGain | undefined {
  const { signature } = learned;
  const gains = signature.biases.map(({ instrument, jaw }): CheckGain => {
    const planned = { instrument, jaw, u_mm: PIECE_U_MM, count: CHECK_READINGS };
    return { instrument, jaw, joint: jointWith(foreseeCheck(signature, planned)) };
  });
  const best = gains.reduce<CheckGain | undefined>(
    (most, gain) => (gain.joint > (most?.joint ?? joint) ? gain : most),
    undefined,
  );
  return best !== undefined && best.joint - joint >= WORTH_SAYING ? best : undefined;
}

/** All that a plan rests on beside the signature. */
interface PlanAsk {
  readonly features: readonly queries.Feature[];
  readonly targets: readonly FitTarget[];
  /** Sizes of the newest attempt, a feature each. */
  readonly lastDrawnMm: readonly (number | undefined)[];
  readonly quantity: number;
  readonly options: DrawOptions;
  readonly candidates: ReturnType<typeof candidatesOf>;
}

/** Sizes to draw next for every feature of a job, with chances; undefined without a profile or features. */
export function planDraw(view: JobView): DrawPlan | undefined {
  const { learned, features } = view;
  if (learned === undefined || features.length === 0) return undefined;
  const last = view.attempts.at(-1);
  const asked: PlanAsk = {
    features,
    targets: features.map((feature) => targetOf(feature, view)),
    lastDrawnMm: features.map(({ id }) => last?.drawn.find(({ featureId }) => featureId === id)?.drawnMm),
    quantity: view.job.quantity,
    options: drawOptions(view),
    candidates: candidatesOf(view, learned),
  };
  return keepAnswer(learned.signature, { plan: asked }, () => planFor(learned, asked));
}

function planFor(learned: LearnedSignature, asked: PlanAsk): DrawPlan {
  const { signature } = learned;
  const { features, targets, options, quantity, candidates } = asked;
  const lines = features.map((feature, i): DrawLine => {
    const lastDrawnMm = asked.lastDrawnMm[i];
    const next = drawFit(signature, targets[i], options);
    const unchanged =
      lastDrawnMm === undefined ? undefined : assessFit(signature, targets[i], lastDrawnMm, options);
    return { feature, lastDrawnMm, next, unchanged, snap: snapOf(signature, targets[i], options) };
  });
  const asLast = lines.flatMap(({ lastDrawnMm }, i) =>
    lastDrawnMm === undefined ? [] : { target: targets[i], drawMm: lastDrawnMm },
  );
  const drawn = lines.map(({ next }, i) => ({ target: targets[i], drawMm: next.drawMm }));
  const joint = jointChance(signature, drawn, options);
  return {
    lines,
    joint,
    check: bestCheck(learned, joint, (foreseen) => jointChance(foreseen, drawn, options)),
    allCopies: quantity > 1 ? chanceOfAllCopies(signature, drawn, quantity, options) : undefined,
    jointUnchanged: asLast.length === lines.length ? jointChance(signature, asLast, options) : undefined,
    nextReadings: rankNextReadings(signature, targets, candidates),
  };
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
      ...assessFit(learned.signature, targetOf(feature, view), drawn, drawOptions(view)),
    };
  });
}

/** Name of the feature whose reading would narrow the next print most, where that is worth saying. */
export function nextReadingOf(view: JobView, plan: DrawPlan): { name: string; sdShare: number } | undefined {
  const [best] = plan.nextReadings;
  if (best === undefined) return undefined;
  const feature = view.features.find(({ id }) => id === featureIdOf(best.candidate.feature));
  const sdShare = 1 - Math.sqrt(best.after / best.before);
  return feature === undefined || sdShare < 0.02 ? undefined : { name: feature.name, sdShare };
}

/** Parameters that move a size of this job; the others are shown under the signature. */
export function usedParameters({ features }: JobView): Set<ParameterName> {
  const used = new Set<ParameterName>();
  for (const { axis, shape, sense, base } of features) {
    if (axis === 'Z') {
      used.add('epsilonZ').add(sense === 'outside' && base === 'plate' ? 'zPlate' : 'zSupported');
      continue;
    }
    if (axis !== 'Y') used.add('epsilonX');
    if (axis !== 'X') used.add('epsilonY');
    if (sense !== 'pitch') used.add('edge');
    if (sense === 'inside') used.add('insideExtra');
    if (sense === 'inside' && shape === 'round') used.add('roundExtra');
  }
  return used;
}
