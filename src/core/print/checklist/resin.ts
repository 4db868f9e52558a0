import { listAnd } from '@/core/kit/wording';
import { ml, question } from './question';

/** A print that runs dry less often than this without topping up needs nobody to look, a chance. Our own choice. */
const RARELY_DRY = 0.05;
/** Below this chance, running dry is not mentioned. */
const NEVER_DRY = 0.005;
/** A bottle shaken within this time is not shaken again, hours. */
const SHAKEN_FOR_H = 1;

export const RESIN = question({
  name: 'Resin in the vat',
  ask: ({ resin: { wanted, inVat, isSame, changeoverMl } }) => ({
    facts: { wanted, inVat, changeoverMl },
    known: isSame ? 'well' : inVat === undefined ? 'ask' : 'bad',
  }),
  text: ({ wanted, inVat, changeoverMl }) =>
    inVat === undefined
      ? `Pour ${wanted}. The contents of the vat are unknown.`
      : inVat === wanted
        ? `The vat holds ${wanted}.`
        : `The vat holds ${inVat}, but the print needs ${wanted}. Changing the resin wastes about ${ml(changeoverMl)}.`,
});

const FILL_WORDS = {
  need: 'Fill it for this print plus the minimum level.',
  brim: 'Fill it to the maximum mark.',
  later: 'Fill it low, and top it up when the timer calls you.',
} as const;

export const ENOUGH = question({
  name: 'Enough resin',
  caution: 'Pour slowly, with paper ready for spills. Afterwards close the lid to keep daylight out.',
  ask: ({ vat: { levelMl }, outlook, practices: { fillLevel: fill } }) => {
    if (outlook === 'tooMuch') return { facts: { tooMuch: true, levelMl, pours: 0, fill }, known: 'bad' };
    if (outlook === undefined) return { facts: { tooMuch: false, levelMl, pours: 0, fill }, known: 'ask' };
    const { leftMl, dryChance } = outlook;
    const pours = outlook.pours.length;
    return {
      facts: { tooMuch: false, levelMl, leftMl, dryChance, pours, fill },
      known: pours === 0 && dryChance < RARELY_DRY ? 'well' : 'ask',
    };
  },
  text: ({ tooMuch, levelMl, leftMl, dryChance = 0, pours, fill }: EnoughFacts) => {
    if (tooMuch)
      return 'One layer needs more resin than a full vat holds above its minimum level. This print cannot be made in one run.';
    if (levelMl === undefined || leftMl === undefined) return `The vat level is unknown. ${FILL_WORDS[fill]}`;
    const dry =
      dryChance < NEVER_DRY
        ? ''
        : ` Without topping up, it runs dry in ${Math.round(100 * dryChance)} of 100 such prints.`;
    if (pours > 0)
      return `${levelMl === 0 ? 'The vat holds none of this resin' : `The vat holds ${ml(levelMl)}: top up ${pours === 1 ? 'once' : `${pours} times`} during the print`}.${dry} ${FILL_WORDS[fill]}`;
    return `The vat holds ${ml(levelMl)}; ${ml(leftMl)} are left after the print.${dry}`;
  },
});

interface EnoughFacts {
  readonly tooMuch: boolean;
  readonly levelMl?: number;
  readonly leftMl?: number;
  readonly dryChance?: number;
  readonly pours: number;
  readonly fill: keyof typeof FILL_WORDS;
}

interface BottleFacts {
  readonly needMl: number;
  readonly leftMl?: number;
  readonly lot?: string;
  readonly lots: readonly string[];
  readonly mixes: boolean;
}

export const BOTTLE = question<BottleFacts>({
  name: 'Bottle to pour from',
  ask: ({ outlook, bottle, vat: { lots } }) => {
    const pours = outlook === undefined || outlook === 'tooMuch' ? [] : outlook.pours;
    const needMl = pours.reduce((sum, { addMl }) => sum + addMl, 0);
    if (needMl === 0) return undefined;
    if (bottle === undefined) return { facts: { needMl, lots, mixes: false }, known: 'ask' };
    const mixes = lots.length > 0 && !lots.includes(bottle.lot);
    return {
      facts: { needMl, leftMl: bottle.leftMl, lot: bottle.lot, lots, mixes },
      known: bottle.leftMl < needMl || mixes ? 'bad' : 'well',
    };
  },
  text: ({ needMl, leftMl, lot, lots, mixes }) => {
    const need = `The print needs ${ml(needMl)} more.`;
    if (leftMl === undefined) return `${need} Choose the bottle above.`;
    const left = leftMl < needMl ? ` The bottle has only ${ml(leftMl)}.` : ` The bottle has ${ml(leftMl)}.`;
    const whichLot = lot === '' ? 'Its lot is unknown' : `The bottle has lot ${lot}`;
    return `${need}${left}${mixes ? ` ${whichLot}, and the vat holds ${listAnd(lots)}. Mixed lots can print different sizes.` : ''}`;
  },
});

export const SHAKEN = question({
  name: 'Resin shaken',
  caution:
    'Liquid resin can make skin allergic for life: wear nitrile gloves and eye protection, and keep the lid closed.',
  ask: ({ resin: { shakenH }, vat: { days } }) => ({
    facts: { days },
    // Shaken later than now says a clock that was set back: it is asked.
    known: shakenH !== undefined && shakenH >= 0 && shakenH < SHAKEN_FOR_H ? 'well' : 'ask',
  }),
  text: ({ days }) =>
    `Shake the closed bottle for a minute; stir the resin in the vat${days === undefined ? '' : `: it has been in the vat for ${days} ${days === 1 ? 'day' : 'days'}`}.`,
});

export const DRAINED = question({
  name: 'Vat drained',
  ask: ({ practices, vat: { days, drainDays } }) =>
    practices.vatAfter === 'calendar' && days !== undefined && days >= drainDays
      ? { facts: { days, drainDays }, known: 'bad' }
      : undefined,
  text: ({ days, drainDays }: { readonly days: number; readonly drainDays: number }) =>
    `The resin has been in the vat for ${days} days. Shop setting: drain it every ${drainDays} days.`,
});
