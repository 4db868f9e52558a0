import type { Change } from './frame';
import { PARAMETER_NAMES, type ParameterName } from './law';

/** What can change in a profile. `unknown`: something changed, and the cause is unknown. */
export const CHANGE_KINDS = [
  'film',
  'lot',
  'exposure',
  'bottom',
  'layer',
  'wash',
  'cure',
  'plate',
  'unknown',
] as const;
export type ChangeKind = (typeof CHANGE_KINDS)[number];

/** What a profile is printed under, as far as somebody said. */
export interface ProfileSettings {
  readonly lot?: string;
  readonly layerMm?: number;
  readonly exposureS?: number;
  readonly film?: string;
  readonly wash?: string;
  readonly cure?: string;
  /** First layers, exposed longer, and those that lead over to the others. */
  readonly bottomLayers?: number;
  readonly transitionLayers?: number;
  readonly bottomExposureS?: number;
  /** Rest with the light off before and after the exposure. */
  readonly restBeforeS?: number;
  readonly restAfterS?: number;
  /** Lift in one or two stages, the slow one first, and the way back. */
  readonly liftMm?: number;
  readonly liftSpeed_mm_s?: number;
  readonly lift2Mm?: number;
  readonly lift2Speed_mm_s?: number;
  readonly retractSpeed_mm_s?: number;
  /** Of the last stage of the way back, as long as the first of the lift. */
  readonly retract2Speed_mm_s?: number;
  /** From the start to the first layer. */
  readonly startupS?: number;
  /** The exposure was copied from another printer and is between these limits: its name, s. */
  readonly derived?: { readonly from: string; readonly lowS: number; readonly highS: number };
  /** What cures: screen, projector or laser, and its stated irradiance. */
  readonly light?: string;
}

interface Voids {
  /** Share of the prior variance given back, by parameter. */
  readonly law: Readonly<Partial<Record<ParameterName, number>>>;
  readonly shifts?: number;
}

const ALL = Object.fromEntries(PARAMETER_NAMES.map((name) => [name, 0.3]));

/** Start values of docs/methods.md §2, ours: how much less holds after each change. */
const VOIDED: Readonly<Record<ChangeKind, Voids>> = {
  film: { law: { zSupported: 0.2, zPlate: 0.2, edge: 0.2 } },
  lot: { law: ALL },
  exposure: { law: { edge: 0.2, insideExtra: 0.2, roundExtra: 0.2, zSupported: 0.2 } },
  bottom: { law: { zPlate: 0.3 } },
  layer: { law: { zSupported: 0.8, zPlate: 0.8, edge: 0.3 } },
  wash: { law: { epsilonX: 0.5, epsilonY: 0.5, epsilonZ: 0.5 }, shifts: 0.5 },
  cure: { law: { epsilonX: 0.5, epsilonY: 0.5, epsilonZ: 0.5 }, shifts: 0.5 },
  plate: { law: { zPlate: 0.5, leanX: 0.5, leanY: 0.5 } },
  unknown: { law: ALL },
};

/**
 * Edges grow by a·ln(t/t₀) with ln a ~ N(ln 0.045, 0.5²), mm on each face, where a workshop has not learned its own
 * (docs/methods.md §5).
 */
export const EDGE_SLOPE = Object.freeze({ medianMm: 0.045, sdLn: 0.5 });
/** Depth at which the light has fallen by e, mm, where the resin's is not known. */
export const DEPTH_OF_LIGHT = Object.freeze({ meanMm: 0.1, sdMm: 0.04 });

interface Moments {
  readonly mean: number;
  readonly sd: number;
}

/** What light does, mm for a factor e of exposure: growth of edges, and depth. */
export interface LightKnown {
  readonly slope?: Moments;
  readonly depth?: Moments;
}

const ASSUMED_SLOPE: Moments = (() => {
  const mean = EDGE_SLOPE.medianMm * Math.exp(EDGE_SLOPE.sdLn ** 2 / 2);
  return { mean, sd: mean * Math.sqrt(Math.expm1(EDGE_SLOPE.sdLn ** 2)) };
})();
const ASSUMED_DEPTH: Moments = { mean: DEPTH_OF_LIGHT.meanMm, sd: DEPTH_OF_LIGHT.sdMm };

/** How far a longer exposure is known to move growth and cure-through: the law after against the law before. */
function movedByExposure(ratio: number, light: LightKnown): Change['moved'] {
  const log = Math.log(ratio);
  const by = ({ mean, sd }: Moments): Moments => ({ mean: mean * log, sd: sd * Math.abs(log) });
  return { edge: by(light.slope ?? ASSUMED_SLOPE), zSupported: by(light.depth ?? ASSUMED_DEPTH) };
}

/** A change of the exposure by this factor, the longest step of a trim, gives the whole of its share back: ln of it. */
const WHOLE_STEP_LN = Math.log(4 / 3);

/** What a change voids; a short step of the exposure less than a long one, its variance as the square of the step. */
function voidsOf(kind: ChangeKind, ratio: number | undefined): Voids {
  const { law, shifts } = VOIDED[kind];
  if (kind !== 'exposure' || ratio === undefined) return { law, shifts };
  const part = Math.min(1, (Math.log(ratio) / WHOLE_STEP_LN) ** 2);
  return { law: Object.fromEntries(Object.entries(law).map(([name, share]) => [name, part * share])) };
}

interface ChangedSettings {
  readonly kinds: readonly ChangeKind[];
  readonly before: ProfileSettings;
  readonly after: ProfileSettings;
  /** Default: as light does on average. */
  readonly light?: LightKnown;
}

/** What several changes at once leave: each takes its share of what the others left. */
function together(shares: readonly number[]): number {
  return 1 - shares.reduce((left, share) => left * (1 - share), 1);
}

/** What changes void: shares of the prior variance given back, and what an exposure is known to have moved. */
export function voidedBy({
  kinds,
  before,
  after,
  light = {},
}: ChangedSettings): Omit<Change, 'printsBefore'> {
  const ratio = (after.exposureS ?? 0) / (before.exposureS ?? 0);
  // A recorded change with an unchanged exposure moved something without a known amount.
  const moved =
    kinds.includes('exposure') && ratio > 0 && Number.isFinite(ratio) && ratio !== 1 ? ratio : undefined;
  const all = kinds.map((kind) => voidsOf(kind, moved));
  const givenBack = Object.fromEntries(
    PARAMETER_NAMES.map((name) => [name, together(all.map(({ law }) => law[name] ?? 0))] as const).filter(
      ([, share]) => share > 0,
    ),
  );
  return {
    givenBack,
    shiftsGivenBack: together(all.map(({ shifts = 0 }) => shifts)),
    moved: moved === undefined ? undefined : movedByExposure(moved, light),
  };
}
