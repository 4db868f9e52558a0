import type { CardStep, School } from '@/core/resins';
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
    case 'wash':
      return step.why === 'sheet' ? undefined : reasonsOfSchool('washWith', step.liquid);
    case 'supports':
      return reasonsOfSchool('supportsOff', step.at);
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

function describeSupports({ brittle, tipMm, at }: Extract<CardStep, { step: 'supports' }>) {
  const how =
    brittle === true
      ? 'brittle: nip tip by tip and hold the part'
      : brittle === false
        ? 'tough: cut, do not tear'
        : 'its elongation at break is unknown: treat it as brittle';
  const tip = tipMm === undefined ? '' : `tips of ${formatMm(tipMm)} mm; `;
  return { title: 'Supports off', text: `${SIDE_WORDS[at]}; ${tip}${how}` };
}

/** A step of the process card: what to do. */
const STEP_NAMES: Readonly<Record<CardStep['step'], string>> = {
  shake: 'Shake',
  warm: 'Room and resin',
  wash: 'Wash',
  dry: 'Dry',
  supports: 'Supports off',
  assemble: 'Put together',
  cure: 'Cure',
  cool: 'Cool',
  coat: 'Coat',
};

/** A step by its name alone. */
export function nameCardStep(step: CardStep['step']): string {
  return STEP_NAMES[step];
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
    case 'wash': {
      const why = {
        house: 'the house’s way, allowed by its sheet',
        sheet: 'its sheet does not allow the house’s own',
        unstated: 'the house’s way; its sheet says nothing',
      } as const;
      return {
        title: 'Wash',
        text: `in ${describeLiquid(step.liquid)}, about ${step.minutes} min, moved: ${why[step.why]}${describeCrevices(step.crevices)}`,
      };
    }
    case 'dry':
      return {
        title: 'Dry',
        text: `about ${step.minutes} min, until no crevice is wet: what stays in is cured in${describeCrevices(step.crevices)}`,
      };
    case 'supports':
      return describeSupports(step);
    case 'cure': {
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
    case 'cool':
      return {
        title: 'Cool',
        text: `${step.minutes} min before a caliper or a mate touches it: warm parts measure large and feel soft`,
      };
    case 'assemble':
      return {
        title: 'Put together',
        text: `${SIDE_WORDS[step.at]}${step.overruled ? ', against the house’s way: it is too brittle to be forced once cured' : ''}`,
      };
    case 'coat':
      return { title: 'Coat', text: `sealed before long use: ${step.for.join(', ')}. A coat is no rating` };
  }
}
