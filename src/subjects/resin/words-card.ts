import { type CardStep, CLEAR, type School } from '@/core/resins';
import { describeLiquid, SCHOOL_WORDS, SIDE_WORDS } from '@/subjects/house/shared';
import { formatMm, round } from '@/subjects/language/shared';

/** Why the house does it so, and why others do not. */
function reasonsOfSchool(school: School, side: string): string {
  const { sides } = SCHOOL_WORDS[school];
  const others = Object.entries(sides).filter(([name]) => name !== side);
  const other = others.map(([, { label, reason }]) => `${label}: ${reason}`).join('; ');
  return `This shop does so because ${sides[side].reason}. Others: ${other}.`;
}

/** Both sides of a step on which good shops differ; undefined where they do not. */
export function describeCardReason(step: CardStep): string | undefined {
  switch (step.step) {
    case 'drip':
      return reasonsOfSchool('excessResin', step.how);
    case 'unload':
      return step.overruled ? undefined : reasonsOfSchool('release', step.how);
    case 'vat':
      return reasonsOfSchool('vatAfter', step.how);
    case 'dry':
      return reasonsOfSchool('drying', step.how);
    case 'wash':
      return step.why === 'sheet'
        ? undefined
        : `${reasonsOfSchool('washWith', step.liquid)} ${reasonsOfSchool('washMethod', step.method)}`;
    case 'supports':
      return `${reasonsOfSchool('supportsOff', step.at)} ${reasonsOfSchool('warmWater', step.water === 'warm' ? 'use' : 'avoid')}`;
    case 'assemble':
      return step.overruled ? undefined : reasonsOfSchool('assemble', step.at);
    case 'cure':
      return `${reasonsOfSchool('cure', step.school)} In ${step.medium}: ${reasonsOfSchool('cureIn', step.medium).slice('Here since '.length)}`;
    default:
      return undefined;
  }
}

/** Why it takes longer than usual. */
function describeCrevices(count: number): string {
  if (count === 0) return '';
  return `. Twice the usual time, for ${count === 1 ? 'a hollow or narrow gap' : `${count} hollows and narrow gaps`} of this part`;
}

const WATER_WORDS = {
  warm: 'half a minute in water of 50 °C first; ',
  none: '',
  thinLinks: 'dry, against the house’s way: hot water would bend its thin links; ',
} as const;

function describeSupports({ brittle, tipMm, at, water }: Extract<CardStep, { step: 'supports' }>) {
  const how =
    brittle === true
      ? 'brittle: nip tip by tip and hold the part'
      : brittle === false
        ? 'tough: cut, do not tear'
        : 'its elongation at break is unknown: treat it as brittle';
  const tip = tipMm === undefined ? '' : `tips of ${formatMm(tipMm)} mm; `;
  return { title: 'Supports off', text: `${SIDE_WORDS[at]}; ${WATER_WORDS[water]}${tip}${how}` };
}

/** A step of the process card: what to do. */
const STEP_NAMES: Readonly<Record<CardStep['step'], string>> = {
  shake: 'Shake',
  warm: 'Room and resin',
  drip: 'Excess resin off',
  unload: 'Off the plate',
  wash: 'Wash',
  dry: 'Dry',
  supports: 'Supports off',
  assemble: 'Put together',
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
  drip: (minutes: number) => `tilt the plate over the vat, about ${minutes} min`,
  scrape: (minutes: number) => `scrape it off the plate into the vat, about ${minutes} min`,
  mop: (minutes: number) => `mop it up with paper, about ${minutes} min; leave fine surfaces alone`,
} as const;
const UNLOAD_WORDS = {
  flexSheet: 'bend the sheet away from the part',
  scraper: 'with a scraper, flat to the plate, from the side that holds least',
  blade: 'with a thin blade, a little all round before it is lifted',
} as const;
const VAT_WORDS = {
  leave: 'cover it. Look for pieces that are missing on the part: they lie in it',
  empty: 'filter it back into its own bottle, wipe the film with a soft cloth',
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
      ? 'its sheet states no time: prove one on a spare'
      : step.floorMin === undefined
        ? `at most ${round(step.ceilingMin!)} min. Its sheet states no least time: half of the most is a guess, prove it on a spare`
        : step.ceilingMin === undefined
          ? `at least ${round(step.floorMin)} min; its sheet states no most`
          : `at least ${round(step.floorMin)} min, at most ${round(step.ceilingMin)} min`;
  const minutes = step.minutes === undefined ? '' : `${round(step.minutes)} min, `;
  return {
    title: 'Cure',
    text: `${minutes}${step.school}, in ${step.medium === 'air' ? 'air' : 'clear water'}, turned half way; ${range}`,
  };
}

export function describeCardStep(step: CardStep): { readonly title: string; readonly text: string } {
  switch (step.step) {
    case 'shake':
      return {
        title: 'Shake',
        text: `${round(step.seconds, 0)} s, lid tight, gloves on${step.stated ? '' : '; its sheet says nothing, this is usual'}`,
      };
    case 'warm':
      return {
        title: 'Room and resin',
        text: `at least ${round(step.toC)} °C, the closed bottle in warm water if need be`,
      };
    case 'drip':
      return { title: STEP_NAMES.drip, text: DRIP_WORDS[step.how](step.minutes) };
    case 'unload':
      return {
        title: STEP_NAMES.unload,
        text: `${UNLOAD_WORDS[step.how]}${step.overruled ? '. Against the house’s way: it is too thin to be prised off. On a rigid plate, wash it there first and let it dry' : ''}`,
      };
    case 'vat':
      return { title: STEP_NAMES.vat, text: VAT_WORDS[step.how] };
    case 'wash': {
      const why = {
        house: 'the house’s way, allowed by its sheet',
        sheet: 'its sheet does not allow the house’s own',
        unstated: 'the house’s way; its sheet says nothing',
      } as const;
      return {
        title: 'Wash',
        text: `in ${describeLiquid(step.liquid)}, about ${round(step.minutes)} min, ${METHOD_WORDS[step.method]}, ${step.on === 'plate' ? 'on its plate' : 'off the plate'}: ${why[step.why]}${describeCrevices(step.crevices)}`,
      };
    }
    case 'dry':
      return {
        title: 'Dry',
        text: `${DRYING_WORDS[step.how]}, about ${round(step.minutes)} min, until no crevice is wet: what stays in is cured in${describeCrevices(step.crevices)}`,
      };
    case 'supports':
      return describeSupports(step);
    case 'cure':
      return describeCure(step);
    case 'cool':
      return {
        title: 'Cool',
        text: `${step.minutes} min before a caliper or a mate touches it${step.wallMm === undefined ? '' : `, for a part ${formatMm(step.wallMm, 1)} mm thick on average`}: warm parts measure large and feel soft`,
      };
    case 'assemble':
      return {
        title: 'Put together',
        text: `${SIDE_WORDS[step.at]}${step.overruled ? ', against the house’s way: it is too brittle to be forced once cured' : ''}`,
      };
    case 'coat':
      return {
        title: 'Coat',
        text: step.for.every((what) => what === CLEAR)
          ? 'two thin coats of clear lacquer: it fills the layer lines'
          : `sealed before long use: ${step.for.filter((what) => what !== CLEAR).join(', ')}. A coat is no rating`,
      };
  }
}
