import { BLOCK_SIZES, type BlockSize, CONTROL_SIZES, FEW_SIZES } from './blocks';
import { chooseBlock } from './choose-block';
import { stepsFrom, type GaugeSpec } from './gauge';

/** Kinds of gauge as they are asked for; a roof is a gap through height. */
export const GAUGE_CHOICES = [
  'block',
  'shortBlock',
  'chosenBlock',
  'control',
  'hinge',
  'ball',
  'links',
  'slider',
  'roof',
  'pocket',
  'hole',
  'pin',
  'bar',
] as const;
export type GaugeChoice = (typeof GAUGE_CHOICES)[number];

/** Parameters of a gauge; a block has no steps, a plain size test no pin. Lengths mm. */
export interface GaugeParameters {
  readonly choice: GaugeChoice;
  readonly fromMm: number;
  readonly stepMm: number;
  readonly count: number;
  readonly pinMm: number;
}

/**
 * The gauge that was asked for; a chosen block has the first of the sizes that were chosen for a
 * job, the most telling first, or of those that tell most about usual parts.
 * Whether it can be built is for findGaugeIssue to say.
 */
export function gaugeSpecOf(
  { choice, fromMm, stepMm, count, pinMm }: GaugeParameters,
  chosen?: readonly BlockSize[],
): GaugeSpec {
  switch (choice) {
    case 'block':
      return { kind: 'block', sizes: BLOCK_SIZES };
    case 'shortBlock':
      return { kind: 'block', sizes: FEW_SIZES };
    case 'chosenBlock':
      return { kind: 'block', sizes: chosen?.slice(0, Math.round(count)) ?? chooseBlock(Math.round(count)) };
    case 'control':
      return { kind: 'block', sizes: CONTROL_SIZES };
    case 'pocket':
    case 'hole':
    case 'pin':
      return { kind: choice, stepsMm: stepsFrom(fromMm, stepMm, Math.round(count)) };
    case 'bar':
      return { kind: 'bar', thicknessMm: pinMm, count: Math.round(count) };
    case 'roof':
      return {
        kind: 'joint',
        joint: 'slider',
        direction: 'height',
        pinMm,
        stepsMm: stepsFrom(fromMm, stepMm, Math.round(count)),
      };
    case 'hinge':
    case 'ball':
    case 'links':
    case 'slider':
      return {
        kind: 'joint',
        joint: choice,
        direction: 'plane',
        pinMm,
        stepsMm: stepsFrom(fromMm, stepMm, Math.round(count)),
      };
  }
}
