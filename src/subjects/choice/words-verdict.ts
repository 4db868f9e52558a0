import type { Asked, Check, Criterion, Ranked } from '@/core/resins';
import { formatProperty, plain } from '@/subjects/resin/shared';

const CRITERION_WORDS: Readonly<Record<Criterion, string>> = {
  heat: 'heat to spare',
  toughness: 'toughness',
  stiffness: 'stiffness',
  detail: 'detail',
  cost: 'cost',
};

export const describeCriterion = (criterion: Criterion): string => CRITERION_WORDS[criterion];

const CLAIM_NAMES: Readonly<Record<string, string>> = {
  mains: 'mains voltage',
  skin: 'skin',
  mouth: 'the mouth',
  food: 'food',
  sterile: 'sterile use',
  flame: 'flame or hot surfaces',
};

const claimOf = (asked: Asked) => asked.slice('rated:'.length);

const nameOfClaim = (asked: Asked) => CLAIM_NAMES[claimOf(asked)] ?? claimOf(asked);

/** What was asked, as the name of a line. */
export function describeAsked(asked: Asked): string {
  switch (asked) {
    case 'alone':
      return 'prints neat';
    case 'heat':
      return 'heat deflection, with margin';
    case 'strain':
      return 'elongation at break';
    case 'impact':
      return 'impact strength';
    case 'stiffnessLeast':
      return 'stiff enough';
    case 'stiffnessMost':
      return 'soft enough';
    case 'hardness':
      return 'hardness';
    case 'clear':
      return 'clear';
    case 'wash':
      return 'wash liquid at hand';
    case 'room':
      return 'room temperature';
    case 'feature':
      return 'smallest feature';
    case 'light':
      return 'light of the printer';
    case 'water':
      return 'water uptake';
    default:
      return `rated for ${nameOfClaim(asked)}`;
  }
}

/** Value of a check in its own unit. */
function formatChecked(check: Pick<Check, 'requirement' | 'quote' | 'need'>, value: number): string {
  switch (check.requirement) {
    case 'heat':
      return `${plain(value)} °C`;
    case 'strain':
      return formatProperty('elongation', value);
    case 'impact':
      return formatProperty(check.quote?.property === 'dropHeight_m' ? 'dropHeight_m' : 'impact_J_m', value);
    case 'stiffnessLeast':
    case 'stiffnessMost':
      return formatProperty('flexuralModulus_MPa', value);
    case 'hardness':
      return plain(value);
    case 'room':
      return check.need > 100 ? formatProperty('viscosity_mPas', value) : `${plain(value)} °C`;
    case 'feature':
      return formatProperty('leastFeature_mm', value);
    case 'light':
      return `${plain(value)} nm`;
    case 'water':
      return formatProperty('waterUptake', value);
    default:
      return value >= 1 ? 'yes' : 'no';
  }
}

function failedSentence(check: Check): string {
  const { requirement, need, have, margin } = check;
  const [has, needs] = [formatChecked(check, have ?? 0), formatChecked(check, need)];
  switch (requirement) {
    case 'alone':
      return 'is an additive and must not be printed neat';
    case 'heat':
      return `has a heat deflection temperature of ${has}, ${kelvins(-(margin ?? 0))} below the ${needs} needed`;
    case 'strain':
      return `has ${has} elongation at break, ${needs} is needed`;
    case 'impact':
      return `has an impact strength of ${has}, ${needs} is needed`;
    case 'stiffnessLeast':
      return `is too soft: ${has}, at least ${needs} is needed`;
    case 'stiffnessMost':
      return `is too stiff: ${has}, at most ${needs} is allowed`;
    case 'hardness':
      return `has Shore A ${has}, about ${needs} is needed`;
    case 'clear':
      return 'is not clear';
    case 'wash':
      return 'cannot be washed in the liquids you have';
    case 'room':
      return need > 100
        ? `is too thick in this room: ${has}, over ${needs}`
        : `needs a room of ${needs}, yours has ${has}`;
    case 'light':
      return `was made for light of ${has}, this printer cures with ${needs}`;
    case 'water':
      return `takes up ${has} of water in a day, at most ${needs} is allowed`;
    case 'feature':
      return `resolves ${has}, the smallest feature is ${needs}`;
    default:
      return `is not rated for ${nameOfClaim(requirement)}`;
  }
}

function unknownSentence(check: Check): string {
  const { requirement, have } = check;
  if (have !== null)
    return `can’t tell ${describeAsked(requirement)}: its range lies on both sides of the ${formatChecked(check, check.need)} needed`;
  switch (requirement) {
    case 'heat':
      return 'its heat deflection temperature at this stress is not stated';
    case 'strain':
      return 'its elongation at break is unknown';
    case 'impact':
      return 'its impact strength is unknown';
    case 'stiffnessLeast':
    case 'stiffnessMost':
      return 'its modulus is unknown';
    case 'hardness':
      return 'its Shore A hardness is unknown';
    case 'clear':
      return 'its sheet does not say whether it is clear';
    case 'wash':
      return 'its sheet names no wash liquid';
    case 'room':
      return 'neither its least room temperature nor its viscosity there is known';
    case 'feature':
      return 'its least feature is unknown';
    case 'water':
      return 'its water uptake is unknown';
    default:
      return `its sheet does not say whether it is rated for ${nameOfClaim(requirement)}`;
  }
}

/** A difference of temperatures; a tenth is more than anybody knows of it. */
const kelvins = (value: number) => `${Number(value.toFixed(1))} K`;

/** What it has beside what is asked, without the name of what it is about. */
export function describeHave(check: Check): string {
  if (check.have === null) return 'unknown';
  const [has, needs] = [formatChecked(check, check.have), formatChecked(check, check.need)];
  if (isPlainFact(check.requirement)) return has;
  if (check.requirement === 'room')
    return check.need > 100 ? `${has}, up to ${needs}` : `${has}, it needs ${needs}`;
  return `${has}, needed ${needs}`;
}

function isPlainFact(asked: Asked): boolean {
  return ['clear', 'wash', 'alone'].includes(asked) || asked.startsWith('rated:');
}

function passedSentence(check: Check): string {
  return isPlainFact(check.requirement)
    ? describeAsked(check.requirement)
    : `${describeAsked(check.requirement)}: ${describeHave(check)}`;
}

/** What a check found, as a sentence about the resin. */
export function describeCheck(check: Check): string {
  if (check.state === 'pass') return passedSentence(check);
  return check.state === 'fails' ? failedSentence(check) : unknownSentence(check);
}

/** Why a resin lost, or that it passes with how much room. */
export function describeRanked({ verdict, checks }: Pick<Ranked, 'verdict' | 'checks'>): string {
  if (verdict === 'passes') {
    const heat = checks.find(({ requirement }) => requirement === 'heat');
    return heat?.margin === undefined || heat.margin === null
      ? 'passes'
      : `passes with ${kelvins(heat.margin)} to spare beyond the margin`;
  }
  const failing = checks.filter(({ state }) => state === 'fails');
  const shown = failing.length > 0 ? failing : checks.filter(({ state }) => state === 'unknown');
  return shown.map(describeCheck).join('; ');
}

export const describeVerdictOfResin = (verdict: Ranked['verdict']): string =>
  ({ passes: 'passes', fails: 'fails', unknown: 'can’t tell' })[verdict];
