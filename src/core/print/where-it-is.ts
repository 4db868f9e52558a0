import { Z_90 } from '@/core/kit/numerics';
import { layerClock, learnRatio, type LayerProgram, type PlainProgram, type TimedPrint } from './layer-times';

/** What happens next to a print that runs. */
export type RunEvent =
  | { readonly code: 'earlyLook'; readonly layer: number }
  | { readonly code: 'pour'; readonly layer: number; readonly ml: number }
  | { readonly code: 'end'; readonly layer: number };

/** An event with the clock at which it comes: the middle and the ends of a 90 % interval, s from the start. */
export interface TimedEvent {
  readonly event: RunEvent;
  readonly middleS: number;
  readonly earlyS: number;
  readonly lateS: number;
}

/** A print that runs: its program, and what it was asked to pour. */
export interface RunningPrint {
  readonly program: LayerProgram | PlainProgram;
  readonly layers: number;
  readonly pours: readonly { readonly layer: number; readonly ml: number }[];
  /** Earlier prints of this printer. */
  readonly timed: readonly TimedPrint[];
}

/** A layer that the printer itself said was under way, and when, s from the start. */
export interface Heard {
  readonly layer: number;
  readonly atS: number;
}

/** So many layers after the bottom ones it shows whether the part holds to the plate. */
const LOOK_AFTER = 5;
/** Bottom layers of a profile that does not say how many it has. */
const USUAL_BOTTOM = 5;

/** Layer after which an early look tells whether the print holds. */
export function earlyLookLayer(program: LayerProgram | PlainProgram): number {
  return ('bottomLayers' in program ? program.bottomLayers : USUAL_BOTTOM) + LOOK_AFTER;
}

/**
 * ln of real to planned of this very print, and its sd: the printer's own ratio, sharpened by what it reported. A report is
 * good to a layer; the scatter of single prints is in the prior.
 */
function ratioOf({ program, layers, timed }: RunningPrint, heard: Heard | undefined) {
  const { ln, sd } = learnRatio(timed);
  if (heard === undefined || heard.layer < 1) return { ln, sd };
  const clock = layerClock(layers, program);
  const from = clock[Math.min(layers, heard.layer)];
  const to = clock[Math.min(layers, heard.layer + 1)];
  const planned = (from + to) / 2;
  const own = Math.log(heard.atS / planned);
  const ownSd = Math.max(0.002, (to - from) / Math.sqrt(12) / planned);
  const precision = 1 / sd ** 2 + 1 / ownSd ** 2;
  return { ln: (ln / sd ** 2 + own / ownSd ** 2) / precision, sd: Math.sqrt(1 / precision) };
}

/** Where a print stands. */
export interface Standing {
  /** Layer under way by the clock or the printer's word, from 0; `layers` when all are through. */
  readonly layer: number;
  readonly heightMm: number;
  /** Returns what will happen next, in order. */
  readonly events: readonly TimedEvent[];
  /** The clock has passed the latest hour at which it should have ended. */
  readonly isOverdue: boolean;
}

/** Where a print stands `elapsedS` after its start, and what comes next. */
export function whereItIs(print: RunningPrint, elapsedS: number, heard?: Heard): Standing {
  const { program, layers, pours } = print;
  const { ln, sd } = ratioOf(print, heard);
  const clock = layerClock(layers, program);
  const plannedAt = elapsedS / Math.exp(ln);
  let layer = 0;
  while (layer < layers && clock[layer + 1] <= plannedAt) layer++;
  if (heard !== undefined) layer = Math.max(layer, heard.layer);
  const at = (of: number): Omit<TimedEvent, 'event'> => {
    const [middleS, earlyS, lateS] = [0, -Z_90, Z_90].map(
      (z) => clock[Math.min(layers, of)] * Math.exp(ln + z * sd),
    );
    return { middleS, earlyS, lateS };
  };
  const look = earlyLookLayer(program);
  const all: RunEvent[] = [
    ...(look < layers ? [{ code: 'earlyLook', layer: look } as const] : []),
    ...pours.map(({ layer: of, ml }) => ({ code: 'pour', layer: of, ml }) as const),
    { code: 'end', layer: layers },
  ];
  const events = all
    .filter((event) => event.code === 'end' || event.layer >= layer)
    .sort((a, b) => a.layer - b.layer)
    .map((event) => ({ event, ...at(event.layer) }));
  return {
    layer,
    heightMm: Math.min(layers, layer) * program.layerMm,
    events,
    isOverdue: elapsedS > at(layers).lateS,
  };
}
