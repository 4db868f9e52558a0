import type { Practices } from '@/core/workshop';
import { dayOf, listAnd } from '@/core/kit/wording';

/** A question of the gate with what is known of it. */
export type ChecklistFact =
  | {
      readonly key: 'checked';
      readonly unchecked: readonly string[];
      readonly open: readonly { readonly job: string; readonly count: number }[];
    }
  | { readonly key: 'resin'; readonly wanted: string; readonly inVat?: string; readonly changeoverMl: number }
  | {
      readonly key: 'enough';
      readonly levelMl?: number;
      readonly leftMl?: number;
      readonly pours: number;
      readonly dryChance?: number;
      readonly fill: Practices['fillLevel'];
      readonly tooMuch: boolean;
    }
  | {
      readonly key: 'bottle';
      readonly needMl: number;
      readonly leftMl?: number;
      readonly lot?: string;
      readonly lots: readonly string[];
      readonly mixes: boolean;
    }
  | {
      readonly key: 'room';
      readonly roomC?: number;
      readonly leastC?: number;
      /** What a room loses through a window that stands open, K. */
      readonly marginK: number;
    }
  | { readonly key: 'shaken'; readonly vatDays?: number }
  | { readonly key: 'drained'; readonly vatDays: number }
  | { readonly key: 'air'; readonly school: Practices['air']; readonly gloves: Practices['gloves'] }
  | {
      readonly key: 'film';
      readonly since?: Date;
      readonly layers: number;
      readonly isOld: boolean;
      /** Chance that this print fails by it, and what that and a new film cost in the shop's own money. */
      readonly risk: number;
      readonly printCost: number;
      readonly filmCost: number;
      readonly treatment: Practices['filmTreatment'];
    }
  | {
      readonly key: 'level';
      readonly school: Practices['level'];
      readonly on: Practices['levelOn'];
      readonly last?: Date;
    }
  | { readonly key: 'plateDry' }
  | { readonly key: 'vatSeated' }
  | {
      readonly key: 'nothingInVat';
      readonly afterStop: boolean;
      readonly reason: string;
      readonly uncleared?: Date;
    }
  | {
      readonly key: 'display';
      readonly name: string;
      readonly layers: number;
      readonly material: string;
      readonly seconds: number;
      readonly transfer: Practices['fileTransfer'];
      /** Parts that were to be hollowed before slicing. */
      readonly hollow: readonly { readonly job: string; readonly wallMm: number }[];
    }
  | {
      readonly key: 'present';
      readonly endsAt: Date;
      readonly isNight: boolean;
      readonly missedPours: number;
      readonly costs?: NightCosts;
    };

/** Expected losses of a print now with hours that nobody watches, and of one in the morning. */
export interface NightCosts {
  readonly nowCost: number;
  readonly morningAt: Date;
  readonly morningCost: number;
}

export type ChecklistKey = ChecklistFact['key'];

const CHECKLIST_NAMES: Readonly<Record<ChecklistKey, string>> = {
  checked: 'Parts checked',
  resin: 'Resin in the vat',
  enough: 'Enough resin',
  bottle: 'Bottle to pour from',
  room: 'Room warm enough',
  shaken: 'Resin shaken',
  drained: 'Vat drained',
  air: 'Air and gloves',
  film: 'Film without dents or clouding',
  level: 'Plate level',
  plateDry: 'Plate dry of solvent',
  vatSeated: 'Vat seated and screwed down',
  nothingInVat: 'Nothing solid in the vat',
  display: 'Display check passed',
  present: 'Somebody is present',
};

export const CHECKLIST_KEYS = Object.keys(CHECKLIST_NAMES) as [ChecklistKey, ...ChecklistKey[]];

/** A question by its name alone. */
export function nameChecklist(key: ChecklistKey): string {
  return CHECKLIST_NAMES[key];
}

const ml = (value: number) => `${Math.round(value)} ml`;

function hours(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
}

const FILL_WORDS = {
  need: 'Fill it for this print plus the minimum level.',
  brim: 'Fill it to the maximum mark.',
  later: 'Fill it low, and top it up when the timer calls you.',
} as const;

function describeEnough({
  levelMl,
  leftMl,
  pours,
  dryChance = 0,
  fill,
  tooMuch,
}: Extract<ChecklistFact, { key: 'enough' }>) {
  if (tooMuch)
    return 'One layer needs more resin than a full vat holds above its minimum level. This print cannot be made in one run.';
  if (levelMl === undefined || leftMl === undefined) return `The vat level is unknown. ${FILL_WORDS[fill]}`;
  const dry =
    dryChance < 0.005
      ? ''
      : ` Without topping up, it runs dry in ${Math.round(100 * dryChance)} of 100 such prints.`;
  if (pours > 0)
    return `${levelMl === 0 ? 'The vat holds none of this resin' : `The vat holds ${ml(levelMl)}: top up ${pours === 1 ? 'once' : `${pours} times`} during the print`}.${dry} ${FILL_WORDS[fill]}`;
  return `The vat holds ${ml(levelMl)}; ${ml(leftMl)} are left after the print.${dry}`;
}

function describeBottle({
  needMl,
  leftMl,
  lot,
  lots,
  mixes,
}: Extract<ChecklistFact, { key: 'bottle' }>): string {
  const need = `The print needs ${ml(needMl)} more.`;
  if (leftMl === undefined) return `${need} Choose the bottle above.`;
  const left = leftMl < needMl ? ` The bottle has only ${ml(leftMl)}.` : ` The bottle has ${ml(leftMl)}.`;
  return `${need}${left}${mixes ? ` ${lot === '' ? 'Its lot is unknown' : `The bottle has lot ${lot}`}, and the vat holds ${listAnd(lots)}. Mixed lots can print different sizes.` : ''}`;
}

const AIR_WORDS = {
  window: 'Open the window.',
  filter: 'Switch the filter on. Change its charcoal when it smells.',
  lowOdour: 'Your shop prints low-odour resins. Open a window anyway: a vapour without smell can still harm.',
} as const;
const GLOVE_WORDS = {
  thin: 'New thin nitrile gloves.',
  heavy: 'Heavy gloves, undamaged and clean inside.',
  wetOnly: 'Wear gloves from the first contact with anything wet.',
} as const;

function describeFilm(fact: Extract<ChecklistFact, { key: 'film' }>): string {
  const { since, layers, isOld, risk, printCost, filmCost, treatment } = fact;
  const age =
    since === undefined
      ? `The date of the last film change is unknown${layers === 0 ? '' : `; the film has printed at least ${layers} layers`}`
      : `Changed on ${dayOf(since)}, ${layers} layers ago`;
  const old = isOld
    ? `. It makes this print fail in about ${Math.max(1, Math.round(100 * risk))} of 100 cases. The print costs ${printCost.toFixed(0)}, a new film ${filmCost.toFixed(0)}: change the film, or inspect it against the light`
    : '';
  const wipe = treatment === 'repellent' ? '. Wipe it with repellent and let it dry, 5 min' : '';
  return `${age}${old}${wipe}.`;
}

function describeLevel({ school, on, last }: Extract<ChecklistFact, { key: 'level' }>): string {
  const when = {
    everyPrint: 'Shop setting: level before every print',
    afterRemoval: 'Level it if it was off its arm',
    onceSetUp: 'Levelled when the printer was set up',
  };
  const how =
    on === 'film' ? 'paper on the film of the empty vat' : 'without the vat, paper on the bare screen';
  return `${when[school]}: ${how}.${last === undefined ? '' : ` Last levelled on ${dayOf(last)}.`}`;
}

function describeWarmth(roomC: number | undefined, leastC: number, marginK: number): string {
  if (roomC === undefined) return `Needs at least ${leastC} °C. The room temperature is unknown.`;
  const said = `Now ${roomC} °C; at least ${leastC} °C is needed.`;
  const isNear = roomC >= leastC && roomC < leastC + marginK;
  return isNear
    ? `${said} An open window cools the room by about ${marginK} °C. Close the window during the print, or warm the room.`
    : said;
}

const hourOf = (at: Date) => at.toTimeString().slice(0, 5);

function describePresence({
  endsAt,
  isNight,
  missedPours,
  costs,
}: Extract<ChecklistFact, { key: 'present' }>): string {
  const compared =
    costs === undefined
      ? ''
      : ` Expected loss: ${costs.nowCost.toFixed(2)} if you start now and nobody is present, ${costs.morningCost.toFixed(2)} if you start ${dayOf(costs.morningAt)} ${hourOf(costs.morningAt)}, waiting included: ${costs.nowCost <= costs.morningCost ? 'starting now costs less' : 'starting in the morning costs less'}.`;
  if (missedPours > 0)
    return `It needs resin while nobody is present. Start it later, or fill the vat.${compared}`;
  if (isNight)
    return `It ends at about ${dayOf(endsAt)} ${hourOf(endsAt)}, when nobody is present.${compared}`;
  return `It ends at about ${hourOf(endsAt)}, when somebody is present.`;
}

/** What is known of a question, and what to look at. */
export function describeChecklist(fact: ChecklistFact): string {
  switch (fact.key) {
    case 'checked': {
      const parts = [
        ...fact.unchecked.map((job) => `${job} was not checked in its current orientation`),
        ...fact.open.map(
          ({ job, count }) =>
            `${job} has ${count} open ${count === 1 ? 'finding' : 'findings'} that could make the print fail`,
        ),
      ];
      return parts.length === 0
        ? 'All parts were checked in their current orientation.'
        : `${listAnd(parts)}.`;
    }
    case 'resin':
      return fact.inVat === undefined
        ? `Pour ${fact.wanted}. The contents of the vat are unknown.`
        : fact.inVat === fact.wanted
          ? `The vat holds ${fact.wanted}.`
          : `The vat holds ${fact.inVat}, but the print needs ${fact.wanted}. Changing the resin wastes about ${ml(fact.changeoverMl)}.`;
    case 'enough':
      return describeEnough(fact);
    case 'bottle':
      return describeBottle(fact);
    case 'room':
      if (fact.leastC === undefined) return 'The datasheet of this resin states no minimum temperature.';
      return describeWarmth(fact.roomC, fact.leastC, fact.marginK);
    case 'shaken':
      return `Shake the closed bottle for a minute; stir the resin in the vat${fact.vatDays === undefined ? '' : `: it has been in the vat for ${fact.vatDays} ${fact.vatDays === 1 ? 'day' : 'days'}`}.`;
    case 'drained':
      return `The resin has been in the vat for ${fact.vatDays} days. Shop setting: drain it every 30 days.`;
    case 'air':
      return `${AIR_WORDS[fact.school]} ${GLOVE_WORDS[fact.gloves]}`;
    case 'film':
      return describeFilm(fact);
    case 'level':
      return describeLevel(fact);
    case 'plateDry':
      return 'Wipe it until the alcohol smell is gone. On a wet plate, the first layers come off.';
    case 'vatSeated':
      return 'Push it in completely and tighten both screws.';
    case 'nothingInVat':
      if (fact.uncleared !== undefined)
        return `The failure on ${dayOf(fact.uncleared)} may have left cured resin in the vat. Clear the vat, inspect film and plate, and record that it is clear.`;
      return fact.afterStop
        ? `The last print here was stopped${fact.reason === '' ? '' : ` (${fact.reason})`}. Pour the vat through a filter, and inspect the film by eye and touch.`
        : 'Look against the light, and feel with a soft spatula.';
    case 'display':
      return `${fact.name}; ${fact.layers} layers; ${fact.material}; about ${hours(fact.seconds)}${fact.transfer === 'stick' ? '. Leave the USB stick in the printer' : ''}.${fact.hollow.map(({ job, wallMm }) => ` ${job} is hollow with a ${wallMm} mm wall and two vents near the plate.`).join('')}`;
    case 'present':
      return describePresence(fact);
  }
}

const CHECKLIST_CAUTIONS: Readonly<Partial<Record<ChecklistKey, string>>> = {
  shaken:
    'Liquid resin can make skin allergic for life: wear nitrile gloves and eye protection, and keep the lid closed.',
  air: 'Vapour makes you dizzy, and solvent burns. Keep flames, irons and heat guns away. Take your gloves off before you touch a keyboard or a phone.',
  level: 'A forgotten tool, paper or vat under the plate breaks the screen. Look before you home the plate.',
  nothingInVat:
    'The plate presses solids in the vat through the film and the screen. A metal scraper cuts the film. Be careful with the glass.',
  enough: 'Pour slowly, with paper ready for spills. Afterwards close the lid to keep daylight out.',
  present:
    'For a printer that runs unattended: keep solvent and paper away from it, fit a smoke alarm above it, and follow the rules of your building, your insurer and your local authority.',
};

/** Caution that stands with a question. */
export function cautionOfChecklist(key: ChecklistKey): string | undefined {
  return CHECKLIST_CAUTIONS[key];
}
