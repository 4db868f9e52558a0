import type { Schools } from '@/core/resins';
import { dayOf, listAnd } from '@/subjects/language/shared';

/** A question of the gate with what is known of it. */
export type GateFact =
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
      readonly fill: Schools['fillLevel'];
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
  | { readonly key: 'air'; readonly school: Schools['air']; readonly gloves: Schools['gloves'] }
  | {
      readonly key: 'film';
      readonly since?: Date;
      readonly layers: number;
      readonly isOld: boolean;
      /** Chance that this print fails by it, and what that and a new film cost in the shop's own money. */
      readonly risk: number;
      readonly printCost: number;
      readonly filmCost: number;
      readonly treatment: Schools['filmTreatment'];
    }
  | {
      readonly key: 'level';
      readonly school: Schools['level'];
      readonly on: Schools['levelOn'];
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
      readonly transfer: Schools['fileTransfer'];
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

export type GateKey = GateFact['key'];

const GATE_NAMES: Readonly<Record<GateKey, string>> = {
  checked: 'Parts checked',
  resin: 'Resin in the vat',
  enough: 'Enough resin',
  bottle: 'Bottle to pour from',
  room: 'Room warm enough',
  shaken: 'Resin shaken',
  drained: 'Vat drained',
  air: 'Air and gloves',
  film: 'Film without dent or cloud',
  level: 'Plate level',
  plateDry: 'Plate dry of solvent',
  vatSeated: 'Vat seated and screwed down',
  nothingInVat: 'Nothing solid in the vat',
  display: 'Display read back',
  present: 'Somebody is there',
};

export const GATE_KEYS = Object.keys(GATE_NAMES) as [GateKey, ...GateKey[]];

/** A question by its name alone. */
export function nameGate(key: GateKey): string {
  return GATE_NAMES[key];
}

const ml = (value: number) => `${Math.round(value)} ml`;

function hours(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
}

const FILL_WORDS = {
  need: 'Fill it for this print and what must stay.',
  brim: 'Fill it to its mark.',
  later: 'Fill it low; top it up when you are called.',
} as const;

function describeEnough({
  levelMl,
  leftMl,
  pours,
  dryChance = 0,
  fill,
  tooMuch,
}: Extract<GateFact, { key: 'enough' }>) {
  if (tooMuch)
    return 'One layer uses more than a full vat has above its floor: this print cannot be made in one go.';
  if (levelMl === undefined || leftMl === undefined)
    return `Nobody said how full the vat is. ${FILL_WORDS[fill]}`;
  const dry =
    dryChance < 0.005
      ? ''
      : ` If nobody pours it runs dry in ${Math.round(100 * dryChance)} of 100 such prints.`;
  if (pours > 0)
    return `${levelMl === 0 ? 'None of it is in the vat yet' : `${ml(levelMl)} are in it: pour ${pours === 1 ? 'once' : `${pours} times`} while it prints`}.${dry} ${FILL_WORDS[fill]}`;
  return `${ml(levelMl)} are in it, ${ml(leftMl)} will be left.${dry}`;
}

function describeBottle({ needMl, leftMl, lot, lots, mixes }: Extract<GateFact, { key: 'bottle' }>): string {
  const need = `It needs ${ml(needMl)} more.`;
  if (leftMl === undefined) return `${need} Choose the bottle above.`;
  const left = leftMl < needMl ? ` The bottle has only ${ml(leftMl)}.` : ` The bottle has ${ml(leftMl)}.`;
  return `${need}${left}${mixes ? ` ${lot === '' ? 'Its lot is unknown' : `It is ${lot}`}, in the vat is ${listAnd(lots)}: lots that mix can print other sizes.` : ''}`;
}

const AIR_WORDS = {
  window: 'Open the window.',
  filter: 'Switch the filter on; change its coal when it smells.',
  lowOdour:
    'This house prints resins that hardly smell: open a window all the same, what cannot be smelled can harm.',
} as const;
const GLOVE_WORDS = {
  thin: 'New thin nitrile gloves.',
  heavy: 'The heavy gloves, whole and clean inside.',
  wetOnly: 'Gloves from the first touch of anything wet.',
} as const;

function describeFilm(fact: Extract<GateFact, { key: 'film' }>): string {
  const { since, layers, isOld, risk, printCost, filmCost, treatment } = fact;
  const age =
    since === undefined
      ? `Nobody noted when it was changed${layers === 0 ? '' : `; at least ${layers} layers were printed on it`}`
      : `Changed on ${dayOf(since)}, ${layers} layers since`;
  const old = isOld
    ? `. This print fails by it in about ${Math.max(1, Math.round(100 * risk))} of 100 and costs ${printCost.toFixed(0)}, a new film ${filmCost.toFixed(0)}: change it, or look along it against the light`
    : '';
  const wipe = treatment === 'repellent' ? '. Wipe it with repellent and let it dry, 5 min' : '';
  return `${age}${old}${wipe}.`;
}

function describeLevel({ school, on, last }: Extract<GateFact, { key: 'level' }>): string {
  const when = {
    everyPrint: 'This house levels before every print',
    afterRemoval: 'Level it when it was off its arm',
    onceSetUp: 'Levelled when the printer was set up',
  };
  const how = on === 'film' ? 'paper on the film of the empty vat' : 'the vat off, paper on the bare screen';
  return `${when[school]}: ${how}.${last === undefined ? '' : ` Last on ${dayOf(last)}.`}`;
}

function describeWarmth(roomC: number | undefined, leastC: number, marginK: number): string {
  if (roomC === undefined) return `At least ${leastC} °C; nobody said how warm it is.`;
  const said = `${roomC} °C, at least ${leastC} °C are asked for.`;
  const isNear = roomC >= leastC && roomC < leastC + marginK;
  return isNear
    ? `${said} An open window takes about ${marginK} °C of it: close it while it prints, or warm the room.`
    : said;
}

const hourOf = (at: Date) => at.toTimeString().slice(0, 5);

function describePresence({
  endsAt,
  isNight,
  missedPours,
  costs,
}: Extract<GateFact, { key: 'present' }>): string {
  const compared =
    costs === undefined
      ? ''
      : ` Started now and unwatched it loses ${costs.nowCost.toFixed(2)} on average, started ${dayOf(costs.morningAt)} ${hourOf(costs.morningAt)} ${costs.morningCost.toFixed(2)}, waiting counted: ${costs.nowCost <= costs.morningCost ? 'now is cheaper' : 'the morning is cheaper'}.`;
  if (missedPours > 0)
    return `It wants resin while nobody is there. Start it later, or fill the vat.${compared}`;
  if (isNight) return `It ends about ${dayOf(endsAt)} ${hourOf(endsAt)}, when nobody is there.${compared}`;
  return `It ends about ${hourOf(endsAt)}, when somebody is there.`;
}

/** What is known of a question, and what to look at. */
export function describeGate(fact: GateFact): string {
  switch (fact.key) {
    case 'checked': {
      const parts = [
        ...fact.unchecked.map((job) => `${job} was not looked at as it stands`),
        ...fact.open.map(
          ({ job, count }) =>
            `${job} has ${count} open ${count === 1 ? 'finding' : 'findings'} that could lose it`,
        ),
      ];
      return parts.length === 0 ? 'All parts were checked as they stand.' : `${listAnd(parts)}.`;
    }
    case 'resin':
      return fact.inVat === undefined
        ? `Pour ${fact.wanted}; nobody said what is in the vat.`
        : fact.inVat === fact.wanted
          ? `${fact.wanted} is in it.`
          : `${fact.inVat} is in it, ${fact.wanted} is wanted: changing over loses about ${ml(fact.changeoverMl)}.`;
    case 'enough':
      return describeEnough(fact);
    case 'bottle':
      return describeBottle(fact);
    case 'room':
      if (fact.leastC === undefined) return 'The sheet of this resin asks for no least temperature.';
      return describeWarmth(fact.roomC, fact.leastC, fact.marginK);
    case 'shaken':
      return `The closed bottle for a minute; what stands in the vat is stirred${fact.vatDays === undefined ? '' : `: it has stood for ${fact.vatDays} ${fact.vatDays === 1 ? 'day' : 'days'}`}.`;
    case 'drained':
      return `The resin has stood in the vat for ${fact.vatDays} days; this house drains it every 30.`;
    case 'air':
      return `${AIR_WORDS[fact.school]} ${GLOVE_WORDS[fact.gloves]}`;
    case 'film':
      return describeFilm(fact);
    case 'level':
      return describeLevel(fact);
    case 'plateDry':
      return 'Wiped, and no smell of alcohol: a wet plate lets the first layers go.';
    case 'vatSeated':
      return 'Pushed home, both screws tight.';
    case 'nothingInVat':
      if (fact.uncleared !== undefined)
        return `What failed on ${dayOf(fact.uncleared)} may have left something cured in it: clear it, look at film and plate, and note that it is clear.`;
      return fact.afterStop
        ? `The last print here was stopped${fact.reason === '' ? '' : ` (${fact.reason})`}: pour the vat through a filter, look and feel along the film.`
        : 'Look against the light, feel with a soft spatula.';
    case 'display':
      return `${fact.name}; ${fact.layers} layers; ${fact.material}; about ${hours(fact.seconds)}${fact.transfer === 'stick' ? '. The stick stays in' : ''}.${fact.hollow.map(({ job, wallMm }) => ` ${job} is hollow, its wall ${wallMm} mm, with two vents near the plate.`).join('')}`;
    case 'present':
      return describePresence(fact);
  }
}

const GATE_CAUTIONS: Readonly<Partial<Record<GateKey, string>>> = {
  shaken: 'Liquid resin can make skin allergic for life: nitrile gloves, eye protection, lid closed.',
  air: 'Vapour makes you dizzy and solvent burns: no flame, no iron, no heat gun near it. Gloves off before you touch a keyboard or a phone.',
  level: 'Lowering the plate onto a forgotten tool, paper or vat breaks the screen: look before you home it.',
  nothingInVat:
    'What is solid in the vat is pressed through the film and the screen by the plate. A scraper of metal cuts the film. Mind the glass.',
  enough: 'Pour slowly, paper ready for spills; lid closed against daylight afterwards.',
  present:
    'A machine that runs alone: no solvent or paper near it, a smoke alarm above it, and what your house, its insurer and local rules say about it.',
};

/** Caution that stands with a question. */
export function cautionOfGate(key: GateKey): string | undefined {
  return GATE_CAUTIONS[key];
}
