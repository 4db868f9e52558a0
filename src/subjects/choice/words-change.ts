import type { Change } from '@/core/resins';
import { formatMm, percent, round } from '@/subjects/language/shared';
import { describeAsked } from './words-verdict';

const PROOF_WAYS = {
  bend: 'bend a bar with weights',
  break: 'bend a bar to break, eyes covered',
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
      return `bring the stress down to ${round(change.toMPa, 2)} MPa with a thicker section or a shorter arm`;
    case 'stateStress':
      return `enter the stress in the part; ${change.assumedMPa} MPa is assumed while it is unknown`;
    case 'lessStrain':
      return `ask for ${percent(change.to)} at most, with a longer or thinner hook or less interference`;
    case 'gentler':
      return 'avoid such knocks, or round and thicken the part where it lands';
    case 'thicker':
      return `make the section ${round(change.times, 2)} times as thick`;
    case 'thinner':
      return `make the section ${round(change.times, 2)} times thinner`;
    case 'warmerRoom':
      return change.toC === undefined
        ? 'warm the room or the resin'
        : `warm the room or the resin to ${round(change.toC)} °C`;
    case 'largerFeature':
      return `draw no feature under ${formatMm(change.toMm)} mm`;
    case 'otherPrinter':
      return 'print it on a printer with the light it was made for';
    case 'keepDry':
      return 'coat the part, or allow the fit for the swelling after a day in water';
    case 'otherLiquid':
      return 'get a wash liquid that its sheet allows';
    case 'blendIt':
      return 'mix it into another resin';
    case 'nothing':
      return `nothing can change this: ${describeAsked(change.requirement)} is a property of the resin`;
    case 'prove':
      return `prove it: ${PROOF_WAYS[change.by]}`;
    case 'askSupplier':
      return `ask the supplier about: ${describeAsked(change.requirement)}`;
  }
}
