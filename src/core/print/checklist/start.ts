import { dayOf, formatMinutes, hourOf, listAnd } from '@/core/kit/wording';
import { type NightCosts, question } from './question';

export const CHECKED = question({
  name: 'Parts checked',
  ask: ({ parts: { unchecked, open } }) => ({
    facts: { unchecked, open },
    known: unchecked.length + open.length === 0 ? 'well' : 'bad',
  }),
  text: ({ unchecked, open }) => {
    const parts = [
      ...unchecked.map((job) => `${job} was not checked in its current orientation`),
      ...open.map(
        ({ job, count }) =>
          `${job} has ${count} open ${count === 1 ? 'finding' : 'findings'} that could make the print fail`,
      ),
    ];
    return parts.length === 0 ? 'All parts were checked in their current orientation.' : `${listAnd(parts)}.`;
  },
});

export const DISPLAY = question({
  name: 'Display check passed',
  ask: ({ display, resin: { wanted: material }, practices: { fileTransfer }, machine: { isHeard } }) => ({
    facts: { ...display, material, fileTransfer },
    known: isHeard && fileTransfer === 'network' ? 'well' : 'ask',
  }),
  text: ({ name, layers, material, seconds, fileTransfer, hollow }) =>
    `${name}; ${layers} layers; ${material}; about ${formatMinutes(Math.round(seconds / 60))}${fileTransfer === 'stick' ? '. Leave the USB stick in the printer' : ''}.${hollow.map(({ job, wallMm }) => ` ${job} is hollow with a ${wallMm} mm wall and two vents near the plate.`).join('')}`,
});

interface PresentFacts {
  readonly endsAt: Date;
  readonly isNight: boolean;
  readonly missedPours: number;
  readonly costs?: NightCosts;
}

/** Whether somebody is present when it ends and when it needs resin. */
export const PRESENT = question<PresentFacts>({
  name: 'Somebody is present',
  caution:
    'For a printer that runs unattended: keep solvent and paper away from it, fit a smoke alarm above it, and follow the rules of your building, your insurer and your local authority.',
  ask: ({ outlook, end: { at: endsAt, isAttended }, costsOfNight }) => {
    const known = outlook === undefined || outlook === 'tooMuch' ? undefined : outlook;
    const missedPours = known?.pours.filter((pour) => !pour.isAttended).length ?? 0;
    const isNight = !isAttended;
    const costs =
      isNight || missedPours > 0 ? costsOfNight(missedPours > 0 ? known!.dryChance : 0) : undefined;
    return {
      facts: { endsAt, isNight, missedPours, costs },
      known: missedPours > 0 ? 'bad' : isNight ? 'ask' : 'well',
    };
  },
  text: ({ endsAt, isNight, missedPours, costs }) => {
    const compared =
      costs === undefined
        ? ''
        : ` Expected loss: ${costs.nowCost.toFixed(2)} if you start now and nobody is present, ${costs.morningCost.toFixed(2)} if you start ${dayOf(costs.morningAt)} ${hourOf(costs.morningAt)}, waiting included: ${costs.nowCost <= costs.morningCost ? 'starting now costs less' : 'starting in the morning costs less'}.`;
    if (missedPours > 0)
      return `It needs resin while nobody is present. Start it later, or fill the vat.${compared}`;
    if (isNight)
      return `It ends at about ${dayOf(endsAt)} ${hourOf(endsAt)}, when nobody is present.${compared}`;
    return `It ends at about ${hourOf(endsAt)}, when somebody is present.`;
  },
});
