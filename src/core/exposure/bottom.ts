import { EDGE_SLOPE } from '@/core/signature';
import { depthAt, type WorkingCurve } from './working-curve';
import { edgeAt, learnEdgeLaw } from './exposure-change';

/**
 * A measured elephant's foot: flare of the first layers on each face, mm, and the exposures of bottom and normal
 * layers, s.
 */
export interface FootSeen {
  readonly exposureS: number;
  readonly bottomExposureS: number;
  readonly flareMm: number;
  readonly uMm: number;
}

export interface BottomAsk {
  readonly exposureS: number;
  readonly bottomExposureS: number;
  readonly layerMm: number;
  readonly seen: readonly FootSeen[];
  /** By strips in seconds; undefined: how deep a bottom layer cures is not known. */
  readonly curve?: Pick<WorkingCurve, 'dpMm' | 'lnEc' | 'variances'>;
}

/** What bottom layers of an exposure would do. */
export interface BottomAnswer {
  readonly bottomExposureS: number;
  readonly flare: { readonly mean: number; readonly sd: number };
  /** How many layer heights deep a bottom layer cures: what it holds to the plate by. */
  readonly depthLayers?: number;
}

/** Resin pressed out under the plate flares too, whatever the light; and prints differ: assumed, mm. */
const PRESSED = { meanMm: 0.02, sdMm: 0.04 } as const;
const PRINT_SD_MM = 0.015;
/** Bottom exposures that are looked at, of the one now; the last is that of the other layers. */
const SHARES = [1, 0.75, 0.5, 0.3] as const;

/**
 * Returns the elephant's foot against the exposure of the bottom layers: edge growth follows ln(t_bottom/t) as it
 * follows an exposure (docs/methods.md §5), plus the resin that is pressed out. Learned from values measured at other
 * bottom exposures; with only one, the slope is the usual one. undefined if the bottom layers are exposed no longer
 * than the others.
 */
export function compareBottoms(ask: BottomAsk): BottomAnswer[] | undefined {
  const { exposureS, bottomExposureS, layerMm, seen, curve } = ask;
  const now = bottomExposureS / exposureS;
  if (!(now > 1)) return undefined;
  const law = learnEdgeLaw({
    exposureS: now,
    prior: { mean: PRESSED.meanMm + EDGE_SLOPE.medianMm * Math.log(now), sd: PRESSED.sdMm },
    observations: seen.map(({ exposureS: own, bottomExposureS: bottom, flareMm, uMm }) => ({
      exposureS: bottom / own,
      edgeMm: flareMm,
      sdMm: Math.hypot(uMm, PRINT_SD_MM),
    })),
  });
  if (!law.ok) return undefined;
  const exposures = [...SHARES.map((share) => share * bottomExposureS), exposureS].filter(
    (seconds) => seconds >= exposureS,
  );
  return exposures.map((seconds) => ({
    bottomExposureS: seconds,
    flare: edgeAt(law.value, seconds / exposureS),
    depthLayers: curve && depthAt(curve, seconds).mm / layerMm,
  }));
}
