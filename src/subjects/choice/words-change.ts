import type { Change } from '@/core/resins';
import { formatMm, percent, round } from '@/subjects/language/shared';
import { describeAsked } from './words-verdict';

const PROOF_WAYS = {
  bend: 'bend a bar with weights',
  break: 'bend a bar to break, eyes covered',
  bath: 'hang a loaded bar into hot water in steps',
  oven: 'hang a loaded bar into an oven: a kettle ends at 95 °C',
  drop: 'let a spare one fall',
} as const;

/** What would have to change for a resin to pass. */
export function describeChange(change: Change): string {
  switch (change.code) {
    case 'coolerMoment':
      return `the hottest moment no more than ${round(change.toC)} °C`;
    case 'lessMargin':
      return `a margin of ${round(change.toK)} K instead, at your own judgement`;
    case 'lessStress':
      return `the part’s stress down to ${round(change.toMPa, 2)} MPa: a thicker section or a shorter arm`;
    case 'stateStress':
      return `say the part’s own stress: ${change.assumedMPa} MPa is taken while it is unknown`;
    case 'lessStrain':
      return `a part that asks for ${percent(change.to)} at most: a longer or thinner hook, less interference`;
    case 'gentler':
      return 'a part that is not knocked like this, or rounded and thicker where it falls';
    case 'thicker':
      return `the section ${round(change.times, 2)} times as thick`;
    case 'thinner':
      return `the section ${round(change.times, 2)} times thinner`;
    case 'warmerRoom':
      return change.toC === undefined
        ? 'a warmer room, or the resin warmed'
        : `a room, or resin warmed, to ${round(change.toC)} °C`;
    case 'largerFeature':
      return `no feature under ${formatMm(change.toMm)} mm`;
    case 'otherPrinter':
      return 'print it on a printer with the light it was made for';
    case 'keepDry':
      return 'coat the part, or allow the fit for the swelling after a day in water';
    case 'otherLiquid':
      return 'a wash liquid that its sheet names';
    case 'blendIt':
      return 'used as a share of another resin';
    case 'nothing':
      return `nothing: ${describeAsked(change.requirement)} belongs to the resin`;
    case 'prove':
      return `prove it: ${PROOF_WAYS[change.by]}`;
    case 'askSupplier':
      return `its supplier’s word on: ${describeAsked(change.requirement)}`;
  }
}
