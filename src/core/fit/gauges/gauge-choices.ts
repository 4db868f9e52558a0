import { keysOf } from '@/core/kit';
import type { GapDirection, JointKind } from '@/core/fit/mating';
import { BLOCK_SIZES, type BlockSize, CONTROL_SIZES, FEW_SIZES } from './blocks';
import { chooseBlock } from './choose-block';
import { type GaugeSpec, stepsFrom } from './gauge';

/** Numbers that a gauge is made from, lengths mm. */
interface GaugeNumbers {
  readonly fromMm: number;
  readonly stepMm: number;
  readonly count: number;
  readonly pinMm: number;
}

/** Numbers that a gauge asks for, each with the label of its field and the usual value, as typed. */
type AskedNumbers = Readonly<
  Partial<Record<keyof GaugeNumbers, { readonly label: string; readonly usual: string }>>
>;

/** All facts about one gauge. */
interface GaugeDefinition {
  readonly title: string;
  /** What it shows. */
  readonly answers: string;
  readonly asks: AskedNumbers;
  /** It has steps that are marked by notches. */
  readonly hasSteps: boolean;
  /** A part that a person has can be tried in its steps. */
  readonly takesMate: boolean;
  /** `chosen`: sizes chosen for a job, the most telling first. */
  readonly spec: (numbers: GaugeNumbers, chosen: readonly BlockSize[] | undefined) => GaugeSpec;
}

const BLOCK = { asks: {}, hasSteps: false, takesMate: false } as const;

const stepsOf = ({ fromMm, stepMm, count }: GaugeNumbers) => stepsFrom(fromMm, stepMm, Math.round(count));

const STEPS = { hasSteps: true, takesMate: false } as const;

/** A gap test; a gap along Z is one below the roof of a slider. */
const joint = (kind: JointKind, direction: GapDirection, fromMm: string, pinMm: string) => ({
  ...STEPS,
  asks: {
    fromMm: { label: 'First gap per side', usual: fromMm },
    stepMm: { label: 'Step', usual: '0.05' },
    count: { label: 'Steps', usual: '9' },
    pinMm: { label: 'Pin, ball, bar or rail size', usual: pinMm },
  },
  spec: (numbers: GaugeNumbers): GaugeSpec => ({
    kind: 'joint',
    joint: kind,
    direction,
    pinMm: numbers.pinMm,
    stepsMm: stepsOf(numbers),
  }),
});

/** A test of plain sizes. */
const sizes = (kind: 'pocket' | 'hole' | 'pin', fromMm: string) => ({
  hasSteps: true,
  takesMate: true,
  asks: {
    fromMm: { label: 'First size', usual: fromMm },
    stepMm: { label: 'Step', usual: '0.05' },
    count: { label: 'Steps', usual: '7' },
  },
  spec: (numbers: GaugeNumbers): GaugeSpec => ({ kind, stepsMm: stepsOf(numbers) }),
});

/** Every gauge, in the order in which they are offered. */
const GAUGE_DEFINITIONS = {
  block: {
    ...BLOCK,
    title: 'Signature block, 24 sizes',
    answers:
      'what this printer does with this resin: outsides, holes, slots, heights and skew. Ten minutes with a caliper',
    spec: () => ({ kind: 'block', sizes: BLOCK_SIZES }),
  },
  shortBlock: {
    ...BLOCK,
    title: 'Signature block, six sizes',
    answers: 'the six most important sizes, measured in three minutes',
    spec: () => ({ kind: 'block', sizes: FEW_SIZES }),
  },
  chosenBlock: {
    ...BLOCK,
    title: 'Signature block, custom sizes',
    answers: 'the most useful sizes for one job; you choose how many to measure',
    asks: { count: { label: 'Number of sizes, up to 24', usual: '10' } },
    spec: ({ count }, chosen) => ({
      kind: 'block',
      sizes: chosen?.slice(0, Math.round(count)) ?? chooseBlock(Math.round(count)),
    }),
  },
  control: {
    ...BLOCK,
    title: 'Control piece',
    answers: 'whether the process still does what its signature says, beside every print, in half a minute',
    spec: () => ({ kind: 'block', sizes: CONTROL_SIZES }),
  },
  hinge: {
    ...joint('hinge', 'plane', '0.1', '5'),
    title: 'Gap test, hinge',
    answers: 'the gap at which a pin comes free in its knuckles',
  },
  ball: {
    ...joint('ball', 'plane', '0.1', '8'),
    title: 'Gap test, ball joint',
    answers: 'the gap at which a ball comes free in its socket',
  },
  links: {
    ...joint('links', 'plane', '0.15', '3'),
    title: 'Gap test, chain links',
    answers: 'the gap at which links print separate',
  },
  slider: {
    ...joint('slider', 'plane', '0.1', '5'),
    title: 'Gap test, slider',
    answers: 'the gap at which a captured rail slides',
  },
  roof: {
    ...joint('slider', 'height', '0.1', '5'),
    title: 'Gap test, along Z',
    answers: 'the gap below a roof that does not cure shut',
  },
  pocket: {
    ...sizes('pocket', '2.3'),
    title: 'Pocket test',
    answers: 'the pocket size that holds a pushed-in bought part, such as a terminal',
  },
  hole: {
    ...sizes('hole', '4.9'),
    title: 'Hole test',
    answers: 'the hole size that gives the fit you want on a pin, peg or bearing',
  },
  pin: {
    ...sizes('pin', '4.8'),
    title: 'Pin test',
    answers: 'the pin size that gives the fit you want in a hole',
  },
  bar: {
    ...BLOCK,
    title: 'Bend bars',
    answers: 'stiffness, strain at break and heat resistance of the resin with your curing',
    asks: {
      pinMm: { label: 'Thickness', usual: '4' },
      count: { label: 'Number of bars', usual: '3' },
    },
    spec: ({ pinMm, count }) => ({ kind: 'bar', thicknessMm: pinMm, count: Math.round(count) }),
  },
} as const satisfies Readonly<Record<string, GaugeDefinition>>;

export type GaugeChoice = keyof typeof GAUGE_DEFINITIONS;
export const GAUGE_CHOICES = keysOf(GAUGE_DEFINITIONS);

export const gaugeOf = (choice: GaugeChoice): GaugeDefinition => GAUGE_DEFINITIONS[choice];

/** Parameters of a gauge; numbers that it does not ask for are not used. */
export interface GaugeParameters extends GaugeNumbers {
  readonly choice: GaugeChoice;
}

/**
 * The gauge that was asked for; a chosen block has the first of the sizes that were chosen for a job, or of those that
 * tell most about usual parts. Whether it can be built is for findGaugeIssue to say.
 */
export const gaugeSpecOf = (
  { choice, ...numbers }: GaugeParameters,
  chosen?: readonly BlockSize[],
): GaugeSpec => gaugeOf(choice).spec(numbers, chosen);
