import { formatMm, round } from '@/core/kit/wording';
import { type CardStep, CLEAR, type Practice } from '@/core/resin';
import { describeLiquid, PRACTICE_WORDS, SIDE_WORDS } from '@/subjects/workshop/settings/shared';

/** Returns how this shop works and why, and what other shops do. */
function reasonsOfPractice(school: Practice, side: string): string {
  const { sides } = PRACTICE_WORDS[school];
  const say = ({ label, reason }: { label: string; reason: string }) => `${label} (${reason})`;
  const others = Object.keys(sides).filter((name) => name !== side);
  return `Shop practice: ${say(sides[side])}. Alternatives: ${others.map((name) => say(sides[name])).join('; ')}.`;
}

/** Both sides of a step on which good shops differ; undefined where they do not. */
export function describeCardReason(step: CardStep): string | undefined {
  switch (step.step) {
    case 'drip':
      return reasonsOfPractice('excessResin', step.how);
    case 'unload':
      return step.overruled ? undefined : reasonsOfPractice('release', step.how);
    case 'vat':
      return reasonsOfPractice('vatAfter', step.how);
    case 'dry':
      return reasonsOfPractice('drying', step.how);
    case 'wash':
      return step.why === 'sheet'
        ? undefined
        : `${reasonsOfPractice('washWith', step.liquid)} ${reasonsOfPractice('washMethod', step.method)}`;
    case 'supports':
      return `${reasonsOfPractice('supportsOff', step.at)} ${reasonsOfPractice('warmWater', step.water === 'warm' ? 'use' : 'avoid')}`;
    case 'assemble':
      return step.overruled ? undefined : reasonsOfPractice('assemble', step.at);
    case 'cure':
      return `${reasonsOfPractice('cure', step.school)} ${PRACTICE_WORDS.cureIn.title}: ${reasonsOfPractice('cureIn', step.medium)}`;
    default:
      return undefined;
  }
}

/** Why it takes longer than usual. */
function describeCrevices(count: number): string {
  if (count === 0) return '';
  return `. Twice the usual time because of ${count === 1 ? 'a hollow or narrow gap' : `${count} hollows and narrow gaps`} in this part`;
}

const WATER_WORDS = {
  warm: 'half a minute in water at 50 °C first; ',
  none: '',
  thinLinks: 'dry, against shop practice: hot water would bend its thin links; ',
} as const;

function describeSupports({ brittle, tipMm, at, water }: Extract<CardStep, { step: 'supports' }>) {
  const how =
    brittle === true
      ? 'brittle: cut one tip at a time and hold the part'
      : brittle === false
        ? 'tough: cut, do not tear'
        : 'elongation at break unknown: treat it as brittle';
  const tip = tipMm === undefined ? '' : `tips of ${formatMm(tipMm)} mm; `;
  return { title: 'Remove supports', text: `${SIDE_WORDS[at]}; ${WATER_WORDS[water]}${tip}${how}` };
}

/** A step of the process card: what to do. */
const STEP_NAMES: Readonly<Record<CardStep['step'], string>> = {
  shake: 'Shake',
  warm: 'Room and resin',
  drip: 'Remove excess resin',
  unload: 'Remove from plate',
  wash: 'Wash',
  dry: 'Dry',
  supports: 'Supports off',
  assemble: 'Assemble',
  cure: 'Cure',
  cool: 'Cool',
  coat: 'Coat',
  vat: 'Vat',
};

/** A step by its name alone. */
export function nameCardStep(step: CardStep['step']): string {
  return STEP_NAMES[step];
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
const DRYING_WORDS = {
  rest: 'resting in the dark',
  airGun: 'with the air gun',
  shake: 'shaken off, then left',
} as const;

function describeCure(step: Extract<CardStep, { step: 'cure' }>) {
  const range =
    step.floorMin === undefined && step.ceilingMin === undefined
      ? 'the datasheet states no time: test one on a spare part'
      : step.floorMin === undefined
        ? `at most ${round(step.ceilingMin!)} min. The datasheet states no minimum time. Half of the maximum is a guess: test it on a spare part`
        : step.ceilingMin === undefined
          ? `at least ${round(step.floorMin)} min; the datasheet states no maximum`
          : `at least ${round(step.floorMin)} min, at most ${round(step.ceilingMin)} min`;
  const minutes = step.minutes === undefined ? '' : `${round(step.minutes)} min, `;
  return {
    title: 'Cure',
    text: `${minutes}${step.school}, in ${step.medium === 'air' ? 'air' : 'clear water'}, turned halfway; ${range}`,
  };
}

export function describeCardStep(step: CardStep): { readonly title: string; readonly text: string } {
  switch (step.step) {
    case 'shake':
      return {
        title: 'Shake',
        text: `${round(step.seconds, 0)} s, lid tight, gloves on${step.stated ? '' : '; not on the datasheet, usual value'}`,
      };
    case 'warm':
      return {
        title: 'Room and resin',
        text: `at least ${round(step.toC)} °C; warm the closed bottle in water if needed`,
      };
    case 'drip':
      return { title: STEP_NAMES.drip, text: DRIP_WORDS[step.how](step.minutes) };
    case 'unload':
      return {
        title: STEP_NAMES.unload,
        text: `${UNLOAD_WORDS[step.how]}${step.overruled ? '. Against shop practice: the part is too thin to be pried off. On a rigid plate, wash and dry it there first' : ''}`,
      };
    case 'vat':
      return { title: STEP_NAMES.vat, text: VAT_WORDS[step.how] };
    case 'wash': {
      const why = {
        house: 'shop practice, allowed by the datasheet',
        sheet: 'the datasheet does not allow shop practice',
        unstated: 'shop practice; the datasheet says nothing',
      } as const;
      return {
        title: 'Wash',
        text: `in ${describeLiquid(step.liquid)}, about ${round(step.minutes)} min, ${METHOD_WORDS[step.method]}, ${step.on === 'plate' ? 'on its plate' : 'off the plate'}: ${why[step.why]}${describeCrevices(step.crevices)}`,
      };
    }
    case 'dry':
      return {
        title: 'Dry',
        text: `${DRYING_WORDS[step.how]}, about ${round(step.minutes)} min, until no crevice is wet. Liquid left in a crevice cures in place${describeCrevices(step.crevices)}`,
      };
    case 'supports':
      return describeSupports(step);
    case 'cure':
      return describeCure(step);
    case 'cool':
      return {
        title: 'Cool',
        text: `${step.minutes} min before you measure or fit it${step.wallMm === undefined ? '' : `, for a part ${formatMm(step.wallMm, 1)} mm thick on average`}. Warm parts measure too large and feel soft`,
      };
    case 'assemble':
      return {
        title: 'Assemble',
        text: `${SIDE_WORDS[step.at]}${step.overruled ? ', against shop practice: the cured resin is too brittle to be forced' : ''}`,
      };
    case 'coat':
      return {
        title: 'Coat',
        text: step.for.every((what) => what === CLEAR)
          ? 'two thin coats of clear lacquer to fill the layer lines'
          : `seal before long use: ${step.for.filter((what) => what !== CLEAR).join(', ')}. A coating is not a rating`,
      };
  }
}
