import { dayOf } from '@/core/kit/wording';
import { isFilmDue } from '@/core/log';
import { question } from './question';

/** The film against the cost of this print if it fails, labour included. */
export const FILM = question({
  name: 'Film without dents or clouding',
  ask: ({ film, practices: { filmTreatment: treatment } }) => {
    const { since, layers, dueLayers, risk, printCost, cost } = film;
    const isOld = layers >= dueLayers || isFilmDue(risk, printCost, cost);
    return {
      facts: { since, layers, isOld, risk, printCost, cost, treatment },
      known: isOld ? 'bad' : 'ask',
    };
  },
  text: ({ since, layers, isOld, risk, printCost, cost, treatment }) => {
    const age =
      since === undefined
        ? `The date of the last film change is unknown${layers === 0 ? '' : `; the film has printed at least ${layers} layers`}`
        : `Changed on ${dayOf(since)}, ${layers} layers ago`;
    const old = isOld
      ? `. It makes this print fail in about ${Math.max(1, Math.round(100 * risk))} of 100 cases. The print costs ${printCost.toFixed(0)}, a new film ${cost.toFixed(0)}: change the film, or inspect it against the light`
      : '';
    const wipe = treatment === 'repellent' ? '. Wipe it with repellent and let it dry, 5 min' : '';
    return `${age}${old}${wipe}.`;
  },
});

const LEVEL_WORDS = {
  everyPrint: 'Shop setting: level before every print',
  afterRemoval: 'Level it if it was off its arm',
  onceSetUp: 'Levelled when the printer was set up',
} as const;

export const LEVEL = question({
  name: 'Plate level',
  caution:
    'A forgotten tool, paper or vat under the plate breaks the screen. Look before you home the plate.',
  ask: ({ practices: { level, levelOn: on }, machine: { levelled: last, last: ended } }) => {
    const isKept = level === 'afterRemoval' && last !== undefined && ended?.isStopped !== true;
    return { facts: { level, on, last }, known: level === 'onceSetUp' || isKept ? 'well' : 'ask' };
  },
  text: ({ level, on, last }) => {
    const how =
      on === 'film' ? 'paper on the film of the empty vat' : 'without the vat, paper on the bare screen';
    return `${LEVEL_WORDS[level]}: ${how}.${last === undefined ? '' : ` Last levelled on ${dayOf(last)}.`}`;
  },
});

export const PLATE_DRY = question({
  name: 'Plate dry of solvent',
  ask: () => ({ facts: {}, known: 'ask' }),
  text: () => 'Wipe it until the alcohol smell is gone. On a wet plate, the first layers come off.',
});

export const VAT_SEATED = question({
  name: 'Vat seated and screwed down',
  ask: ({ machine: { last }, practices: { vatAfter } }) => ({
    facts: {},
    known: last !== undefined && !last.isStopped && vatAfter === 'leave' ? 'well' : 'ask',
  }),
  text: () => 'Push it in completely and tighten both screws.',
});

export const NOTHING_IN_VAT = question({
  name: 'Nothing solid in the vat',
  caution:
    'The plate presses solids in the vat through the film and the screen. A metal scraper cuts the film. Be careful with the glass.',
  ask: ({ machine: { last, uncleared } }) => ({
    facts: { afterStop: last?.isStopped === true, reason: last?.reason ?? '', uncleared },
    known: uncleared === undefined ? 'ask' : 'bad',
  }),
  text: ({ afterStop, reason, uncleared }) => {
    if (uncleared !== undefined)
      return `The failure on ${dayOf(uncleared)} may have left cured resin in the vat. Clear the vat, inspect film and plate, and record that it is clear.`;
    return afterStop
      ? `The last print here was stopped${reason === '' ? '' : ` (${reason})`}. Pour the vat through a filter, and inspect the film by eye and touch.`
      : 'Look against the light, and feel with a soft spatula.';
  },
});
