import type { Mesh } from '@/core/part/mesh';
import { buildMesh, type SolidKernel } from '@/core/fit/solids';

/** The wall that the caliper reads, and the slot that a long exposure closes, mm. */
export const BRACKET_WALL_MM = 4;
export const BRACKET_SLOT_MM = 0.2;

/** What carries them: thin enough to be printed in minutes. */
const FOOT = { xMm: 24, yMm: 10, zMm: 1 } as const;
const HIGH_MM = 4;
const DEEP_MM = 8;
const BLOCK_MM = 9;

/**
 * A small gauge for one exposure: a wall between two jaws' width of air, and a block with a slot through it; on z = 0, its
 * middle over the origin.
 */
export function buildBracketGauge(kernel: SolidKernel): Mesh {
  return buildMesh(kernel, (shop) => {
    const wall = shop.move(shop.box(BRACKET_WALL_MM, DEEP_MM, FOOT.zMm + HIGH_MM), [-8, 0, 0]);
    const block = shop.move(shop.box(BLOCK_MM, DEEP_MM, FOOT.zMm + HIGH_MM), [6, 0, 0]);
    const slot = shop.move(shop.box(BRACKET_SLOT_MM, DEEP_MM + 2, HIGH_MM + 1), [6, 0, FOOT.zMm]);
    return shop.cut(shop.join([shop.box(FOOT.xMm, FOOT.yMm, FOOT.zMm), wall, block]), [slot]);
  });
}
