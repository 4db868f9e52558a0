import { blockHeightMm, blockReadings, type BlockSize, chooseBlock, sizesFor } from '@/core/fit/gauges';
import { plainProgram, plannedSeconds } from '@/core/print';
import { drawTarget, foreseeReadings, type Target } from '@/core/signature';
import { targetOf } from '@/store';
import { drawOptions, type JobView } from '@/subjects/job/jobs';
import type { LearnedSignature } from '@/subjects/signature';

/** The caliper that reads this profile; the usual one where nothing was read. */
function caliperOf({ instruments }: LearnedSignature): string {
  return Object.keys(instruments)[0] ?? '';
}

function targetsOf(view: JobView): Target[] {
  return view.features.map((feature) => targetOf(feature, view));
}

/** Most sizes that a block has. */
const MOST_SIZES = 24;

/** Sizes of a block for a job, those that tell most about it as things stand first; undefined where it has no sizes. */
export function blockForJob(view: JobView): BlockSize[] | undefined {
  const { learned, features } = view;
  if (learned === undefined || features.length === 0) return undefined;
  return chooseBlock(MOST_SIZES, targetsOf(view), {
    signature: learned.signature,
    instrument: caliperOf(learned),
  });
}

/** What a block of a few sizes, printed and read before the job, would bring and cost. */
export interface BlockGain {
  readonly sizes: number;
  readonly before: number;
  readonly after: number;
  /** Printing it and reading it. */
  readonly hours: number;
  /** Of these on the printer. */
  readonly printHours: number;
  /** It pays where one print of the part takes longer than this. */
  readonly paysBeyondHours: number;
}

/** Three minutes with a caliper. */
const FEW = 6;
const READING_HOURS = 0.05;
/** Wash, dry and cure of a small piece: assumed. */
const FINISHING_HOURS = 0.5;
/** A chance that is lifted by less is not worth a print. */
const WORTH_SAYING = 0.02;

function printHoursOf(view: JobView, sizes: readonly BlockSize[]): number {
  const { layerMm } = view.profile!.profile;
  const layers = Math.ceil(blockHeightMm(sizes) / layerMm);
  const program = plainProgram(layerMm, view.profile!.printer.layerSeconds ?? undefined);
  return plannedSeconds(layers, program) / 3600;
}

/** The gain of six sizes chosen for a job, told before they are printed; undefined where they would bring next to nothing. */
export function foreseeBlock(view: JobView): BlockGain | undefined {
  const { learned, features, profile } = view;
  if (learned === undefined || profile === undefined || features.length === 0) return undefined;
  const { signature } = learned;
  const options = drawOptions(view);
  const targets = targetsOf(view);
  const drawn = targets.map((target) => ({ target, drawMm: drawTarget(signature, target, options).drawMm }));
  const pool = sizesFor(targets);
  const candidates = blockReadings(pool, caliperOf(learned));
  const { chosen, before, after } = foreseeReadings(signature, drawn, candidates, { ...options, count: FEW });
  if (after - before < WORTH_SAYING) return undefined;
  const printHours = printHoursOf(
    view,
    chosen.map((candidate) => pool[candidates.indexOf(candidate)]),
  );
  const hours = printHours + FINISHING_HOURS + READING_HOURS;
  const paysBeyondHours = hours / (after - before);
  return { sizes: chosen.length, before, after, hours, printHours, paysBeyondHours };
}
