import { normalCdf, normalQuantile } from '@/core/kit/numerics';

/** Light of one layer: blur of an edge (standard deviation, mm) and dose in units of the dose that just cures. */
export interface Light {
  readonly blurMm: number;
  readonly dose: number;
}

/** Growth of a straight edge with nothing near it, mm; negative where the dose is less than twice the threshold. */
export function lonelyEdgeGrowth({ blurMm, dose }: Light): number {
  return blurMm * normalQuantile(1 - 1 / dose);
}

/** Share of the full dose at a distance x from the middle of a lit strip of width w. */
function stripLight(x: number, width: number, blurMm: number): number {
  return normalCdf((x + width / 2) / blurMm) - normalCdf((x - width / 2) / blurMm);
}

/** The half-width x at which `isCured` turns, between 0 and `far`. */
function findTurn(far: number, isInner: (x: number) => boolean): number {
  let low = 0;
  let high = far;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (isInner(middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Width that cures where a strip of `widthMm` is lit; 0 when it is too thin to cure at all. A thin wall gets less light. */
export function curedWall(widthMm: number, light: Light): number {
  const cured = (x: number) => light.dose * stripLight(x, widthMm, light.blurMm) > 1;
  return cured(0) ? 2 * findTurn(widthMm / 2 + 6 * light.blurMm, cured) : 0;
}

/** Width that stays open where a strip of `widthMm` is left dark; 0 when the light of both sides closes it. */
export function openSlot(widthMm: number, light: Light): number {
  const open = (x: number) => light.dose * (1 - stripLight(x, widthMm, light.blurMm)) < 1;
  return open(0) ? 2 * findTurn(widthMm / 2 + 6 * light.blurMm, open) : 0;
}

/**
 * Growth of a round edge of radius R, mm into the dark: a hollow edge gets light from all around, a pin's less.
 * First order in blur/R; good to a micrometre from R = 10 × blur on.
 */
function roundEdgeGrowth(radiusMm: number, light: Light, sense: 'inside' | 'outside'): number {
  const curvature = (light.blurMm * light.blurMm) / (2 * radiusMm);
  return lonelyEdgeGrowth(light) + (sense === 'inside' ? curvature : -curvature);
}

/** Diameter that stays (inside) or cures (outside) where a circle of `diameterMm` is drawn; 0 when it closes or fails. */
export function curvedEdgeSize(diameterMm: number, light: Light, sense: 'inside' | 'outside'): number {
  const growth = roundEdgeGrowth(diameterMm / 2, light, sense);
  return Math.max(0, diameterMm + (sense === 'outside' ? 2 : -2) * growth);
}
