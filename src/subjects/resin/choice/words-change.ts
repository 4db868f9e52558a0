import { formatMm, percent, round } from '@/core/kit/wording';
import type { Change } from '@/core/resin';
import { describeAsked } from './words-verdict';

const RESIN_TEST_WAYS = {
  bend: 'test a bar with weights (stiffness)',
  break: 'bend a bar until it breaks, with eye protection',
  bath: 'hang a loaded bar in hot water and heat it in steps',
  oven: 'hang a loaded bar in an oven, since water stops at 95 °C',
  drop: 'drop a spare part',
} as const;

/** What would have to change for a resin to pass. */
export function describeChange(change: Change): string {
  switch (change.code) {
    case 'coolerMoment':
      return `keep the part below ${round(change.toC)} °C`;
    case 'lessMargin':
      return `accept a margin of ${round(change.toK)} K, at your own judgement`;
    case 'lessStress':
      return `reduce the stress to ${round(change.toMPa, 2)} MPa with a thicker section or a shorter arm`;
    case 'stateStress':
      return `enter the stress in the part; ${change.assumedMPa} MPa is assumed until you do`;
    case 'lessStrain':
      return `ask for ${percent(change.to)} at most: use a longer or thinner hook, or less interference`;
    case 'gentler':
      return 'avoid such impacts, or round and thicken the part where it lands';
    case 'thicker':
      return `make the section ${round(change.times, 2)} times as thick`;
    case 'thinner':
      return `make the section ${round(change.times, 2)} times thinner`;
    case 'warmerRoom':
      return change.toC === undefined
        ? 'warm the room or the resin'
        : `warm the room or the resin to ${round(change.toC)} °C`;
    case 'largerFeature':
      return `draw no feature smaller than ${formatMm(change.toMm)} mm`;
    case 'otherPrinter':
      return 'print it on a printer with the light it was made for';
    case 'keepDry':
      return 'coat the part, or allow for the swelling after a day in water';
    case 'otherLiquid':
      return 'get a wash liquid that its datasheet allows';
    case 'blendIt':
      return 'blend it with another resin';
    case 'nothing':
      return `nothing can change this: ${describeAsked(change.requirement)} is a property of the resin`;
    case 'prove':
      return `test it: ${RESIN_TEST_WAYS[change.by]}`;
    case 'askSupplier':
      return `ask the supplier for: ${describeAsked(change.requirement)}`;
  }
}
