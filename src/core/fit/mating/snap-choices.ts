import { assessDrawn, type DrawOptions, drawTarget, type Signature, type Target } from '@/core/signature';

/** A drawn size on the grid of the printer, with its chance. */
export interface SnapChoice {
  readonly drawMm: number;
  readonly inTolerance: number;
}

/** Where a size is between two steps of the printer, pixels or layers. */
export interface SnapChoices {
  readonly stepMm: number;
  readonly wantedMm: number;
  readonly below: SnapChoice;
  readonly above: SnapChoice;
}

function choicesAt(
  signature: Signature,
  target: Target,
  stepMm: number,
  wantedMm: number,
): SnapChoices | undefined {
  const steps = wantedMm / stepMm;
  const [low, high] = [Math.floor(steps + 1e-6), Math.ceil(steps - 1e-6)];
  if (low < 1 || low === high) return undefined;
  // Drawn in whole steps both edges land alike: nothing of the grid is left to chance.
  const at = (count: number): SnapChoice => {
    const drawMm = count * stepMm;
    return { drawMm, inTolerance: assessDrawn(signature, target, drawMm).inTolerance };
  };
  return { stepMm, wantedMm, below: at(low), above: at(high) };
}

/**
 * Returns the two sizes on the printer's grid next to the wanted one: whole pixels for flat edges along X or Y without
 * anti-aliasing, whole layers for heights. undefined if there is no grid, or if the wanted size is on it.
 */
export function snapChoices(
  signature: Signature,
  target: Target,
  { pixelMm, layerMm }: DrawOptions,
): SnapChoices | undefined {
  const { axis, shape } = target.kind;
  const isOnPixels = shape === 'flat' && (axis === 'X' || axis === 'Y');
  const stepMm = axis === 'Z' ? layerMm : isOnPixels ? pixelMm : undefined;
  if (stepMm === undefined) return undefined;
  return choicesAt(signature, target, stepMm, drawTarget(signature, target).drawMm);
}

/** Layer heights that are usual, mm. */
const USUAL_LAYERS_MM = [0.02, 0.025, 0.03, 0.035, 0.04, 0.05, 0.06, 0.08, 0.1];
const DIVIDES_MM = 0.002;

const apart = (a: number, b: number) => Math.round(1e6 * Math.abs(a - b));

/** Layer heights that would divide a height to 2 µm, those nearest to the one in use first, without that one. */
export function dividingLayers(heightMm: number, layerMm: number): number[] {
  return USUAL_LAYERS_MM.filter((each) => {
    const miss = Math.abs(Math.round(heightMm / each) * each - heightMm);
    return miss <= DIVIDES_MM && Math.abs(each - layerMm) > 1e-9;
  }).sort((a, b) => apart(a, layerMm) - apart(b, layerMm) || a - b);
}
