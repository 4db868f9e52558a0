import { formatMm, round } from '@/core/kit/wording';
import { type Claim, claimOf } from '@/core/job/need';
import type { PartState } from '@/core/measure';
import { reasonsOfPractice } from '@/core/workshop';
import type { CardStep } from './process-card';
import { describeLiquid } from './sheet';

/** Kinds of handling between the bottle and the caliper. */
export type ProcessStep = CardStep['step'];

/** A step at one place of the day: how long it takes, where, and when somebody is needed. */
export type StepHours =
  | { readonly by: 'hand'; readonly minutes: number }
  /** Begun and ended by hand; runs by itself in between. */
  | {
      readonly by: 'station';
      readonly station: 'wash' | 'lamp';
      readonly minutes: number;
      readonly share?: string;
    }
  /** Holds the printer, because the plate still hangs in it. */
  | { readonly by: 'printer'; readonly minutes: number }
  | { readonly by: 'waiting'; readonly minutes: number };

/** All facts about one step of the process card. */
interface StepDefinition<Step extends CardStep> {
  readonly name: string;
  /** Done before the print, so not on the way from the plate to the caliper. */
  readonly isBeforePrint?: true;
  /** The state of the part once the step has ended. */
  readonly leadsTo?: PartState;
  readonly caution?: string;
  /** What to do. */
  readonly text: (step: Step) => string;
  /** Both sides of a step on which good workshops differ; undefined where they do not. */
  readonly reason?: (step: Step) => string | undefined;
  /** Hours on the way of so many pieces from the printer to the caliper. */
  readonly hours?: (step: Step, pieces: number) => StepHours;
}

const AT_WORDS = { green: 'green', cured: 'after curing' } as const;

/** Minutes of handwork where the card states none: usual. */
const UNLOAD_MIN = 5;
const EMPTY_VAT_MIN = 15;
const COVER_VAT_MIN = 2;
const SUPPORTS_MIN = { first: 5, each: 3 } as const;
const ASSEMBLE_MIN = 5;
const CURE_MIN = 10;
const COAT_MIN = 20;

/** Why it takes longer than usual. */
function becauseOfCrevices(count: number): string {
  if (count === 0) return '';
  return `. Twice the usual time because of ${count === 1 ? 'a hollow or narrow gap' : `${count} hollows and narrow gaps`} in this part`;
}

const DRIP_WORDS = {
  drip: (minutes: number) => `tilt the plate over the vat for about ${minutes} min`,
  scrape: (minutes: number) => `scrape it off the plate into the vat, about ${minutes} min`,
  mop: (minutes: number) => `wipe it off with paper, about ${minutes} min; do not wipe fine surfaces`,
} as const;
const UNLOAD_WORDS = {
  flexSheet: 'bend the sheet away from the part',
  scraper: 'with a scraper, flat to the plate, from the side that holds least',
  blade: 'with a thin blade, a little all round before it is lifted',
} as const;
const VAT_WORDS = {
  leave: 'cover it. Check the part for missing pieces: they are in the vat',
  empty: 'filter it back into its own bottle, and wipe the film with a soft cloth',
} as const;
const METHOD_WORDS = {
  moved: 'moved',
  soak: 'left to soak',
  ultrasonic: 'by ultrasound, the bath cold',
} as const;
const WHY_WORDS = {
  house: 'shop practice, allowed by the datasheet',
  sheet: 'the datasheet does not allow shop practice',
  unstated: 'shop practice; the datasheet says nothing',
} as const;
const DRYING_WORDS = {
  rest: 'resting in the dark',
  airGun: 'with the air gun',
  shake: 'shaken off, then left',
} as const;
const WATER_WORDS = {
  warm: 'half a minute in water at 50 °C first; ',
  none: '',
  thinLinks: 'dry, against shop practice: hot water would bend its thin links; ',
} as const;

function describeSupports({ brittle, tipMm, at, water }: CardStep & { readonly step: 'supports' }): string {
  const how =
    brittle === true
      ? 'brittle: cut one tip at a time and hold the part'
      : brittle === false
        ? 'tough: cut, do not tear'
        : 'elongation at break unknown: treat it as brittle';
  const tip = tipMm === undefined ? '' : `tips of ${formatMm(tipMm)} mm; `;
  return `${AT_WORDS[at]}; ${WATER_WORDS[water]}${tip}${how}`;
}

function describeCure(step: CardStep & { readonly step: 'cure' }): string {
  const { floorMin, ceilingMin, school, medium } = step;
  const range =
    floorMin === undefined && ceilingMin === undefined
      ? 'the datasheet states no time: test one on a spare part'
      : floorMin === undefined
        ? `at most ${round(ceilingMin!)} min. The datasheet states no minimum time. Half of the maximum is a guess: test it on a spare part`
        : ceilingMin === undefined
          ? `at least ${round(floorMin)} min; the datasheet states no maximum`
          : `at least ${round(floorMin)} min, at most ${round(ceilingMin)} min`;
  const minutes = step.minutes === undefined ? '' : `${round(step.minutes)} min, `;
  return `${minutes}${school}, in ${medium === 'air' ? 'air' : 'clear water'}, turned halfway; ${range}`;
}

/** The word of a claim in a coat's reason. */
const coatedFor = (claims: readonly Claim[]) =>
  claims.map((claim) => claimOf(claim).rating?.word ?? claim).join(', ');

type Definitions = { readonly [Step in ProcessStep]: StepDefinition<Extract<CardStep, { step: Step }>> };

const DEFINITIONS: Definitions = {
  shake: {
    name: 'Shake',
    isBeforePrint: true,
    caution:
      'Liquid resin can make skin allergic for life. Wear nitrile gloves and eye protection, and close the lid before you shake. Do not eat or drink here.',
    text: ({ seconds, stated }) =>
      `${round(seconds, 0)} s, lid tight, gloves on${stated ? '' : '; not on the datasheet, usual value'}`,
  },
  warm: {
    name: 'Room and resin',
    isBeforePrint: true,
    text: ({ toC }) => `at least ${round(toC)} °C; warm the closed bottle in water if needed`,
  },
  drip: {
    name: 'Remove excess resin',
    caution:
      'Uncured resin: gloves and eye protection. Paper ready for spills; wipe them up at once and cure the paper before it goes to waste under local rules. Keep the lid closed against daylight.',
    text: ({ how, minutes }) => DRIP_WORDS[how](minutes),
    reason: ({ how }) => reasonsOfPractice('excessResin', how),
    hours: ({ minutes }) => ({ by: 'printer', minutes }),
  },
  unload: {
    name: 'Remove from plate',
    caution:
      'Blades slip. Clamp the plate, never hold it in your hand, and push the blade away from your fingers. Brittle parts splinter: protect your eyes.',
    text: ({ how, overruled }) =>
      `${UNLOAD_WORDS[how]}${overruled ? '. Against shop practice: the part is too thin to be pried off. On a rigid plate, wash and dry it there first' : ''}`,
    reason: ({ how, overruled }) => (overruled ? undefined : reasonsOfPractice('release', how)),
    hours: () => ({ by: 'hand', minutes: UNLOAD_MIN }),
  },
  wash: {
    name: 'Wash',
    leadsTo: 'washed',
    caution:
      'Solvent vapour burns and makes you dizzy. Open a window. Use no flame and no heated bath. Never warm an ultrasonic bath that holds solvent, and never leave it alone. Take your gloves off before you touch a keyboard or a phone. Cure used paper and dispose of it and of the liquid under local waste rules. Protect your ears beside an ultrasonic bath.',
    text: ({ liquid, minutes, method, on, why, crevices }) =>
      `in ${describeLiquid(liquid)}, about ${round(minutes)} min, ${METHOD_WORDS[method]}, ${on === 'plate' ? 'on its plate' : 'off the plate'}: ${WHY_WORDS[why]}${becauseOfCrevices(crevices)}`,
    reason: ({ why, liquid, method }) =>
      why === 'sheet'
        ? undefined
        : `${reasonsOfPractice('washWith', liquid)} ${reasonsOfPractice('washMethod', method)}`,
    hours: ({ minutes, liquid }) => ({
      by: 'station',
      station: 'wash',
      minutes,
      share: `${liquid} ${Math.max(1, Math.round(minutes))}`,
    }),
  },
  dry: {
    name: 'Dry',
    caution:
      'Compressed air throws resin and solvent into the eyes: wear eye protection, blow into a cloth, and protect your ears. Solvent left in a crevice burns under a lamp: check the crevices before you cure.',
    text: ({ how, minutes, crevices }) =>
      `${DRYING_WORDS[how]}, about ${round(minutes)} min, until no crevice is wet. Liquid left in a crevice cures in place${becauseOfCrevices(crevices)}`,
    reason: ({ how }) => reasonsOfPractice('drying', how),
    hours: ({ minutes }) => ({ by: 'waiting', minutes }),
  },
  supports: {
    name: 'Remove supports',
    caution:
      'Point cutters and scrapers away from your fingers. Cut supports fly off: wear eye protection. Water at 50 °C scalds: use a spoon.',
    text: describeSupports,
    reason: ({ at, water }) =>
      `${reasonsOfPractice('supportsOff', at)} ${reasonsOfPractice('warmWater', water === 'warm' ? 'use' : 'avoid')}`,
    hours: (_, pieces) => ({ by: 'hand', minutes: SUPPORTS_MIN.first + SUPPORTS_MIN.each * pieces }),
  },
  assemble: {
    name: 'Assemble',
    caution:
      'Do not force a part into glass: the glass shatters. Wear gloves while the part is green (uncured).',
    text: ({ at, overruled }) =>
      `${AT_WORDS[at]}${overruled ? ', against shop practice: the cured resin is too brittle to be forced' : ''}`,
    reason: ({ at, overruled }) => (overruled ? undefined : reasonsOfPractice('assemble', at)),
    hours: () => ({ by: 'hand', minutes: ASSEMBLE_MIN }),
  },
  cure: {
    name: 'Cure',
    leadsTo: 'cured',
    caution:
      'The lamp harms eyes and skin. Keep its lid closed; a home-made box needs a switch that cuts the lamp off when the box opens. The part and its tray are hot. A hollow part holds uncured resin: open its vents first.',
    text: describeCure,
    reason: ({ school, medium }) =>
      `${reasonsOfPractice('cure', school)} Curing medium: ${reasonsOfPractice('cureIn', medium)}`,
    hours: ({ minutes = CURE_MIN }) => ({ by: 'station', station: 'lamp', minutes }),
  },
  cool: {
    name: 'Cool',
    text: ({ minutes, wallMm }) =>
      `${minutes} min before you measure or fit it${wallMm === undefined ? '' : `, for a part ${formatMm(wallMm, 1)} mm thick on average`}. Warm parts measure too large and feel soft`,
    hours: ({ minutes }) => ({ by: 'waiting', minutes }),
  },
  coat: {
    name: 'Coat',
    leadsTo: 'coated',
    caution: 'Lacquer vapour burns. Open a window and use no flame.',
    text: ({ claims }) =>
      claims.length === 0
        ? 'two thin coats of clear lacquer to fill the layer lines'
        : `seal before long use: ${coatedFor(claims)}. A coating is not a rating`,
    hours: () => ({ by: 'hand', minutes: COAT_MIN }),
  },
  vat: {
    name: 'Vat',
    caution:
      'Filter resin before you pour it back into a bottle: solids in it break a screen. Never lower a plate into a vat that you have not inspected. Metal scrapers cut the film.',
    text: ({ how }) => VAT_WORDS[how],
    reason: ({ how }) => reasonsOfPractice('vatAfter', how),
    hours: ({ how }) => ({ by: 'hand', minutes: how === 'empty' ? EMPTY_VAT_MIN : COVER_VAT_MIN }),
  },
};

/** The facts about a kind of step that do not depend on its numbers. */
export function processStepOf(
  step: ProcessStep,
): Pick<StepDefinition<CardStep>, 'name' | 'isBeforePrint' | 'leadsTo' | 'caution'> {
  return DEFINITIONS[step];
}

// The definition of a step takes exactly the steps of its own kind; the compiler cannot follow that through the lookup.
const definitionOf = <Step extends CardStep>({ step }: Step) =>
  DEFINITIONS[step] as unknown as StepDefinition<Step>;

/** What to do in a step. */
export const describeCardStep = (step: CardStep): { readonly title: string; readonly text: string } => ({
  title: definitionOf(step).name,
  text: definitionOf(step).text(step),
});

/** Both sides of a step on which good workshops differ; undefined where they do not. */
export const describeCardReason = (step: CardStep): string | undefined => definitionOf(step).reason?.(step);

/** What a step takes on the way of so many pieces to the caliper; undefined: it is done before the print. */
export const hoursOfStep = (step: CardStep, pieces: number): StepHours | undefined =>
  definitionOf(step).hours?.(step, pieces);

/** Minutes that the card states for a step. */
export const minutesOfStep = (step: CardStep): number | undefined =>
  'minutes' in step ? step.minutes : undefined;

/** State of a part by the steps that were ended; green while none was. */
export function stateAfter(ended: ReadonlySet<ProcessStep>): PartState {
  const order = ['coat', 'cure', 'wash'] as const satisfies readonly ProcessStep[];
  const last = order.find((step) => ended.has(step));
  return last === undefined ? 'green' : processStepOf(last).leadsTo!;
}
