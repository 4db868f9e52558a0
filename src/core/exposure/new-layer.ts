import { EDGE_SLOPE } from '@/core/signature';

/** Two-sided 95 % of a normal. */
const Z_95 = 1.959964;

/** A change of the layer's thickness at a known depth D_p of the resin under this light. */
export interface LayerChange {
  readonly exposureS: number;
  readonly fromMm: number;
  readonly toMm: number;
  readonly dpMm: number;
  readonly dpSdMm: number;
  /** ln of the exposure that just cures, s; undefined where the curve is not in seconds: overcure is not known then. */
  readonly lnEc?: number;
  /** What the supplier states for the new thickness, s. */
  readonly supplierS?: number;
}

/** The rule: as deep below the layer as before, 10 % less, in proportion to thickness, as stated, or unchanged. */
export const LAYER_RULES = ['overcure', 'tenth', 'proportion', 'supplier', 'unchanged'] as const;
export type LayerRule = (typeof LAYER_RULES)[number];

/** One rule's answer: seconds, how much deeper than the layer it cures, and what edges grow against before. */
export interface LayerAnswer {
  readonly rule: LayerRule;
  readonly exposureS: number;
  /** 95 %, of the computed one. */
  readonly intervalS?: readonly [low: number, high: number];
  readonly overcureMm?: number;
  /** Growth of each edge against the old exposure: median and 95 %, mm. */
  readonly edgeMm: { readonly median: number; readonly low: number; readonly high: number };
}

/** The rule of 10 % less applies from 0.05 to 0.03 mm: to each 0.02 mm. */
const TENTH_OFF_OVER_MM = 0.02;

function edgeGrowth(ln: number): LayerAnswer['edgeMm'] {
  const ends = [-Z_95, 0, Z_95].map((z) => EDGE_SLOPE.medianMm * Math.exp(z * EDGE_SLOPE.sdLn) * ln);
  return { median: ends[1], low: Math.min(ends[0], ends[2]), high: Math.max(ends[0], ends[2]) };
}

/**
 * Exposure at another thickness with the same overcure: t₂ = t₁·exp((h₂ − h₁)/D_p). Source: the working curve of
 * P. F. Jacobs 1992. Example: 2.4 s at 0.05 mm and D_p 0.145 → 3.39 s at 0.1 mm.
 */
export function equalOvercure({
  exposureS,
  fromMm,
  toMm,
  dpMm,
}: Pick<LayerChange, 'exposureS' | 'fromMm' | 'toMm' | 'dpMm'>): number {
  return exposureS * Math.exp((toMm - fromMm) / dpMm);
}

/** What each rule answers, the computed one first; the supplier's only where it is stated. */
export function answersForLayer(change: LayerChange): LayerAnswer[] {
  const { exposureS, fromMm, toMm, dpMm, dpSdMm, lnEc, supplierS } = change;
  const seconds: Readonly<Record<LayerRule, number | undefined>> = {
    overcure: equalOvercure(change),
    tenth: exposureS * 0.9 ** ((fromMm - toMm) / TENTH_OFF_OVER_MM),
    proportion: (exposureS * toMm) / fromMm,
    supplier: supplierS,
    unchanged: exposureS,
  };
  const ends = [-Z_95, Z_95].map((z) =>
    equalOvercure({ exposureS, fromMm, toMm, dpMm: Math.max(dpMm / 4, dpMm + z * dpSdMm) }),
  );
  return LAYER_RULES.flatMap((rule): LayerAnswer[] => {
    const own = seconds[rule];
    if (own === undefined) return [];
    return [
      {
        rule,
        exposureS: own,
        intervalS: rule === 'overcure' ? [Math.min(...ends), Math.max(...ends)] : undefined,
        overcureMm: lnEc === undefined ? undefined : dpMm * (Math.log(own) - lnEc) - toMm,
        edgeMm: edgeGrowth(Math.log(own / exposureS)),
      },
    ];
  });
}

/** More than so many times the exposure, and edges grow past any drawing: the layer is too thick for this resin. */
const MOST_TIMES = 4;

/** The thickest layer that still cures alike within four times the exposure, mm. */
export function thickestLayer({ fromMm, dpMm }: Pick<LayerChange, 'fromMm' | 'dpMm'>): number {
  return fromMm + dpMm * Math.log(MOST_TIMES);
}
