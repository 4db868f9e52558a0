import { nameRating } from '@/core/job/need';
import { type Asked, type Check, type Criterion, isRated, type Ranked, ratingOf } from '@/core/resin';
import { formatProperty, plain } from '@/subjects/resin/shelf/shared';

const CRITERION_WORDS: Readonly<Record<Criterion, string>> = {
  heat: 'heat to spare',
  toughness: 'toughness',
  stiffness: 'stiffness',
  detail: 'detail',
  cost: 'cost',
};

export const describeCriterion = (criterion: Criterion): string => CRITERION_WORDS[criterion];

/** Name of a requirement, as the heading of a row. */
export function describeAsked(asked: Asked): string {
  if (isRated(asked)) return `rated for ${nameRating(ratingOf(asked))}`;
  switch (asked) {
    case 'alone':
      return 'printable undiluted';
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
      return 'wash liquid available';
    case 'room':
      return 'room temperature';
    case 'feature':
      return 'smallest feature';
    case 'light':
      return 'light of the printer';
    case 'water':
      return 'water uptake';
  }
}

/** Value of a check in its own unit. */
function formatChecked(check: Pick<Check, 'requirement' | 'quote' | 'need'>, value: number): string {
  const yesOrNo = value >= 1 ? 'yes' : 'no';
  if (isRated(check.requirement)) return yesOrNo;
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
    case 'alone':
    case 'clear':
    case 'wash':
      return yesOrNo;
  }
}

function failedSentence(check: Check): string {
  const { requirement, need, have, margin } = check;
  if (isRated(requirement)) return `not rated for ${nameRating(ratingOf(requirement))}`;
  const [has, needs] = [formatChecked(check, have ?? 0), formatChecked(check, need)];
  switch (requirement) {
    case 'alone':
      return 'an additive, must not be printed undiluted';
    case 'heat':
      return `heat deflection temperature ${has}, ${kelvins(-(margin ?? 0))} below the ${needs} needed`;
    case 'strain':
      return `elongation at break ${has}, ${needs} needed`;
    case 'impact':
      return `impact strength ${has}, ${needs} needed`;
    case 'stiffnessLeast':
      return `too soft: ${has}, at least ${needs} needed`;
    case 'stiffnessMost':
      return `too stiff: ${has}, at most ${needs} allowed`;
    case 'hardness':
      return `Shore A ${has}, about ${needs} needed`;
    case 'clear':
      return 'not clear';
    case 'wash':
      return 'cannot be washed in the liquids you have';
    case 'room':
      return need > 100
        ? `too viscous at this room temperature: ${has}, limit ${needs}`
        : `needs a room at ${needs}; yours is ${has}`;
    case 'light':
      return `made for light of ${has}, this printer cures with ${needs}`;
    case 'water':
      return `water uptake in 24 h ${has}, at most ${needs} allowed`;
    case 'feature':
      return `smallest feature ${has}, ${needs} needed`;
  }
}

function unknownSentence(check: Check): string {
  const { requirement, have } = check;
  if (have !== null)
    return `can’t tell ${describeAsked(requirement)}: its range lies on both sides of the ${formatChecked(check, check.need)} needed`;
  if (isRated(requirement))
    return `the datasheet does not say whether it is rated for ${nameRating(ratingOf(requirement))}`;
  switch (requirement) {
    case 'alone':
      return 'the datasheet does not say whether it may be printed undiluted';
    case 'light':
      return 'wavelength of the printer or of the resin unknown';
    case 'heat':
      return 'heat deflection temperature at this stress not stated';
    case 'strain':
      return 'elongation at break unknown';
    case 'impact':
      return 'impact strength unknown';
    case 'stiffnessLeast':
    case 'stiffnessMost':
      return 'modulus unknown';
    case 'hardness':
      return 'Shore A hardness unknown';
    case 'clear':
      return 'the datasheet does not say whether it is clear';
    case 'wash':
      return 'the datasheet names no wash liquid';
    case 'room':
      return 'minimum room temperature, and viscosity at that temperature, unknown';
    case 'feature':
      return 'smallest feature unknown';
    case 'water':
      return 'water uptake unknown';
  }
}

/** A difference of temperatures; tenths of a degree are finer than any data. */
const kelvins = (value: number) => `${Number(value.toFixed(1))} K`;

/** The value of the resin beside the requirement, without the name of the property. */
export function describeHave(check: Check): string {
  if (check.have === null) return 'unknown';
  const [has, needs] = [formatChecked(check, check.have), formatChecked(check, check.need)];
  if (isPlainFact(check.requirement)) return has;
  if (check.requirement === 'room')
    return check.need > 100 ? `${has}, limit ${needs}` : `${has}, needs ${needs}`;
  return `${has}, needed ${needs}`;
}

function isPlainFact(asked: Asked): boolean {
  return asked === 'clear' || asked === 'wash' || asked === 'alone' || isRated(asked);
}

function passedSentence(check: Check): string {
  return isPlainFact(check.requirement)
    ? describeAsked(check.requirement)
    : `${describeAsked(check.requirement)}: ${describeHave(check)}`;
}

/** Returns the result of a check; it names the property, so that it can stand alone. */
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
