import { normalQuantile, Z_90 } from '@/core/kit/numerics';
import { layerClock, type LayerProgram, type PlainProgram } from './layer-times';

/** The vat, and what is lost on the way; ml and shares. */
export interface Vat {
  readonly levelMl: number;
  readonly capacityMl: number;
  /** Least level that still prints. */
  readonly floorMl: number;
  /** What wets vat and plate once. */
  readonly wettingMl: number;
  /** Supports, as a share of the part. */
  readonly supportShare: number;
  /** What drips and is wiped, as a share of all that cures. */
  readonly lossShare: number;
}

/** To pour before a layer begins. */
export interface TopUp {
  readonly layer: number;
  readonly clockS: number;
  readonly addMl: number;
}

export interface ResinPlan {
  readonly durationS: number;
  readonly resinMl: number;
  readonly topUps: readonly TopUp[];
  /** Level of the vat over the clock, thinned for a chart; each top-up has a point before and one after it. */
  readonly levels: readonly VatLevelAt[];
  readonly leftMl: number;
}

/** Level of the vat at a moment of a print. */
export interface VatLevelAt {
  readonly clockS: number;
  readonly levelMl: number;
}

/** Points of a level curve between top-ups; more are not visible. */
const LEVEL_POINTS = 120;

/** Areas of the layers of a plate, mm², and of them those that get supports which are not in the file. */
export interface PlateAreas {
  readonly all: ArrayLike<number>;
  readonly supported: ArrayLike<number>;
}

/** What each layer uses, ml: its area through its height, supports and losses on top. */
export function layerUses(areasMm2: ArrayLike<number> | PlateAreas, layerMm: number, vat: Vat): Float64Array {
  const { all, supported } = 'all' in areasMm2 ? areasMm2 : { all: areasMm2, supported: areasMm2 };
  const factor = (layerMm * (1 + vat.lossShare)) / 1000;
  return Float64Array.from(all, (area, i) => (area + vat.supportShare * (supported[i] ?? 0)) * factor);
}

/**
 * When to top up: before the first layer whose use would pass the floor, to the brim or to what is still needed, whichever
 * is less; again while that is so. Shares are taken as sure. Throws RangeError where one layer uses more than a vat holds.
 */
export function planResin(
  areasMm2: ArrayLike<number> | PlateAreas,
  program: LayerProgram | PlainProgram,
  vat: Vat,
): ResinPlan {
  const uses = layerUses(areasMm2, program.layerMm, vat);
  const clock = layerClock(uses.length, program);
  let left = uses.reduce((sum, use) => sum + use, 0);
  const resinMl = left + vat.wettingMl;
  let level = vat.levelMl - vat.wettingMl;
  const topUps: TopUp[] = [];
  const levels: VatLevelAt[] = [{ clockS: 0, levelMl: level }];
  const stride = Math.ceil(uses.length / LEVEL_POINTS);
  uses.forEach((use, layer) => {
    if (level - use < vat.floorMl - 1e-9) {
      const addMl = Math.min(vat.capacityMl - level, left + vat.floorMl - level);
      if (level + addMl - use < vat.floorMl - 1e-9)
        throw new RangeError('planResin: a layer uses more than the vat holds');
      topUps.push({ layer, clockS: clock[layer], addMl });
      levels.push({ clockS: clock[layer], levelMl: level });
      level += addMl;
      levels.push({ clockS: clock[layer], levelMl: level });
    }
    level -= use;
    left -= use;
    if ((layer + 1) % stride === 0 || layer + 1 === uses.length)
      levels.push({ clockS: clock[layer + 1], levelMl: level });
  });
  return { durationS: clock[uses.length], resinMl, topUps, levels, leftMl: level };
}

/** What is known of a share of supports: log-normal. */
export interface SupportShare {
  readonly ln: number;
  readonly sd: number;
}

/** Before anything was weighed: median 0.3 of the part, σ_ln 0.6; prints of one bench scatter by 0.25 around its own. */
const SHARE = { ln: Math.log(0.3), sd: 0.6 } as const;
const PRINT_SD = 0.25;

/** A print whose supports and part were weighed, in one unit. */
export interface Weighing {
  readonly supports: number;
  readonly part: number;
}

/**
 * Returns the share of supports in this workshop, for one more print; weighings without a part or a support add
 * nothing.
 */
export function learnSupportShare(weighings: readonly Weighing[]): SupportShare {
  const told = weighings.filter(({ supports, part }) => supports > 0 && part > 0);
  const precision = 1 / SHARE.sd ** 2 + told.length / PRINT_SD ** 2;
  const moment =
    SHARE.ln / SHARE.sd ** 2 +
    told.reduce((sum, { supports, part }) => sum + Math.log(supports / part), 0) / PRINT_SD ** 2;
  const spread = told.length === 0 ? SHARE.sd : Math.sqrt(1 / precision + PRINT_SD ** 2);
  return { ln: moment / precision, sd: spread };
}

/** The share that a given quantile of prints stays below. z: of a standard normal. */
export function shareAt({ ln, sd }: SupportShare, z: number): number {
  return Math.exp(ln + z * sd);
}

/** What to expect of the vat in one print whose share of supports is not known. */
export interface VatOutlook {
  /** Share taken as its median. */
  readonly plan: ResinPlan;
  /** Chance to pass the floor if nobody pours anything. */
  readonly dryChance: number;
  /** Last clock at which pouring is safe in 95 of 100 prints, s; undefined where even those need none. */
  readonly lastSafeS?: number;
}

const FINENESS = 41;

function quantiles(): number[] {
  return Array.from({ length: FINENESS }, (_, i) => (i + 0.5) / FINENESS);
}

/** First clock at which a vat that nobody tops up passes its floor, s; Infinity where it does not. */
function dryAt(
  areasMm2: ArrayLike<number> | PlateAreas,
  program: LayerProgram | PlainProgram,
  vat: Vat,
): number {
  const uses = layerUses(areasMm2, program.layerMm, vat);
  const clock = layerClock(uses.length, program);
  let level = vat.levelMl - vat.wettingMl;
  for (let layer = 0; layer < uses.length; layer++) {
    level -= uses[layer];
    if (level < vat.floorMl) return clock[layer];
  }
  return Infinity;
}

/** The plan at the median share, the chance that it runs dry untouched, and the last moment to pour. */
export function outlookOf(
  areasMm2: ArrayLike<number> | PlateAreas,
  program: LayerProgram | PlainProgram,
  vat: Omit<Vat, 'supportShare'>,
  share: SupportShare,
): VatOutlook {
  const at = (z: number) => ({ ...vat, supportShare: shareAt(share, z) });
  const dry = quantiles().filter((p) => dryAt(areasMm2, program, at(normalQuantile(p))) < Infinity).length;
  const last = dryAt(areasMm2, program, at(Z_90));
  return {
    plan: planResin(areasMm2, program, at(0)),
    dryChance: dry / FINENESS,
    lastSafeS: last === Infinity ? undefined : last,
  };
}

/** How a house fills its vat before a print: for the print and what must stay, to the brim, or low, to be topped up later. */
export type FillLevel = 'need' | 'brim' | 'later';

/** Above the floor a vat that is to be topped up later begins with at least so much, ml. */
const LOW_START_ML = 20;

/**
 * Returns what to add to the vat before a print, ml, by shop practice; 0 if enough is in. Example: 60 ml in a vat of
 * 200 with a minimum of 25, a print of 90 → 55 for the need, 140 to the maximum, 0 for later.
 */
export function fillBefore(
  fill: FillLevel,
  { levelMl, capacityMl, floorMl }: Pick<Vat, 'levelMl' | 'capacityMl' | 'floorMl'>,
  needMl: number,
): number {
  const wanted = { need: needMl + floorMl, brim: capacityMl, later: floorMl + LOW_START_ML }[fill];
  return Math.max(0, Math.min(wanted, capacityMl) - levelMl);
}
