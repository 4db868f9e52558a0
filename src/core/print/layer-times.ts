import { Z_90 } from '@/core/kit/numerics';
import { fail, ok, type Result } from '@/core/kit';

/** One move of the plate: how far, and how fast, mm and mm/s. */
export interface Move {
  readonly mm: number;
  readonly mm_s: number;
}

/** What a printer does layer by layer; seconds. */
export interface LayerProgram {
  readonly layerMm: number;
  readonly exposureS: number;
  readonly bottomExposureS: number;
  readonly bottomLayers: number;
  /** Layers that lead over from the bottom's exposure to the others'. */
  readonly transitionLayers: number;
  readonly restBeforeS: number;
  readonly restAfterS: number;
  /** Stages of the lift and of the way back. */
  readonly moves: readonly Move[];
  readonly startupS: number;
}

/** A profile of which only the time of a layer is known. */
export interface PlainProgram {
  readonly layerMm: number;
  /** Lift and rest included. */
  readonly layerS: number;
  readonly startupS: number;
}

export type ProgramIssue = { readonly code: 'notPositive' | 'negative'; readonly field: string };

/** What keeps a program from being run, by its field. */
export function checkProgram(program: LayerProgram): Result<LayerProgram, ProgramIssue> {
  const { moves, ...rest } = program;
  const positive = ['layerMm', 'exposureS', 'bottomExposureS'] as const;
  const bad = positive.find((field) => !(rest[field] > 0));
  if (bad !== undefined) return fail({ code: 'notPositive', field: bad });
  if (moves.some(({ mm_s }) => !(mm_s > 0))) return fail({ code: 'notPositive', field: 'speed of a move' });
  const other = ['bottomLayers', 'transitionLayers', 'restBeforeS', 'restAfterS', 'startupS'] as const;
  const below = other.find((field) => !(rest[field] >= 0));
  if (below !== undefined) return fail({ code: 'negative', field: below });
  if (moves.some(({ mm }) => !(mm >= 0))) return fail({ code: 'negative', field: 'way of a move' });
  return ok(program);
}

/**
 * Exposure of a layer, s: the bottom's for the first, then even steps over the transition layers, then the ordinary one.
 * Example: bottom 30 s, two transition layers, 3 s → 21 and 12 s between them.
 */
export function exposureOf(layer: number, program: LayerProgram): number {
  const { exposureS, bottomExposureS, bottomLayers, transitionLayers } = program;
  if (layer < bottomLayers) return bottomExposureS;
  const step = layer - bottomLayers;
  if (step >= transitionLayers) return exposureS;
  return bottomExposureS + ((exposureS - bottomExposureS) * (step + 1)) / (transitionLayers + 1);
}

/** Seconds that a layer takes with its lift, and what the first ones add: assumed, usual for small panels. */
export const ASSUMED_LAYER_S = 8;
const FIRST_LAYERS_S = 180;

/** The program of a printer of which at most the time of a layer is known. */
export function plainProgram(layerMm: number, layerS: number = ASSUMED_LAYER_S): PlainProgram {
  return { layerMm, layerS, startupS: FIRST_LAYERS_S };
}

const isPlain = (program: LayerProgram | PlainProgram): program is PlainProgram => 'layerS' in program;

/** Seconds that a layer takes: exposure, rests, and every stage of the lift. */
export function layerSeconds(layer: number, program: LayerProgram | PlainProgram): number {
  if (isPlain(program)) return program.layerS;
  const moving = program.moves.reduce((sum, { mm, mm_s }) => sum + mm / mm_s, 0);
  return exposureOf(layer, program) + program.restBeforeS + program.restAfterS + moving;
}

/** Clock at which each layer begins, s from the start, and last the clock at which the print ends. */
export function layerClock(layers: number, program: LayerProgram | PlainProgram): Float64Array {
  const clock = new Float64Array(layers + 1);
  clock[0] = program.startupS;
  for (let layer = 0; layer < layers; layer++) clock[layer + 1] = clock[layer] + layerSeconds(layer, program);
  return clock;
}

/** How long a print of so many layers is planned to take, s. */
export function plannedSeconds(layers: number, program: LayerProgram | PlainProgram): number {
  return layerClock(layers, program)[layers];
}

/** A print that was planned and timed, s. */
export interface TimedPrint {
  readonly plannedS: number;
  readonly realS: number;
}

/** Real to planned of a printer that nobody timed: ln r ~ N(0, 0.15²); one print scatters by 0.03 around its own ratio. */
const RATIO_SD = 0.15;
const PRINT_SD = 0.03;

/** How a printer's real time stands to the planned one: ln of the ratio, and its sd for one more print. */
export function learnRatio(timed: readonly TimedPrint[]): { readonly ln: number; readonly sd: number } {
  const precision = 1 / RATIO_SD ** 2 + timed.length / PRINT_SD ** 2;
  const moment = timed.reduce((sum, { plannedS, realS }) => sum + Math.log(realS / plannedS), 0);
  return {
    ln: moment / PRINT_SD ** 2 / precision,
    sd: Math.sqrt(1 / precision + PRINT_SD ** 2),
  };
}

/** When a print ends, s after its start: the middle and the ends of a 90 % interval. */
export function finishOf(plannedS: number, timed: readonly TimedPrint[]) {
  const { ln, sd } = learnRatio(timed);
  const at = (z: number) => plannedS * Math.exp(ln + z * sd);
  return { middleS: at(0), earlyS: at(-Z_90), lateS: at(Z_90) };
}
