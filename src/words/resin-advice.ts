import type {
  BendNote,
  BlendIssue,
  CardStep,
  Change,
  ProofIssue,
  ProofKind,
  ProofResult,
  RequirementIssue,
  ResinSheetIssue,
  School,
  UnitIssue,
} from '@/core/resins';
import type { BadRow, RequirementJsonIssue, ShelfCsvIssue } from '@/inputs';
import { describeCsvIssue } from './csv-issues';
import { formatMm, formatSigned } from './lengths';
import { describeAsked, describeLiquid, describeProperty, formatProperty } from './resin-words';

const round = (value: number, digits = 1) => String(Number(value.toFixed(digits))).replace('-', '−');
const percent = (share: number) => `${round(share * 100)} %`;

const PROOF_WAYS = {
  bend: 'bend a bar with weights',
  break: 'bend a bar to break, eyes covered',
  bath: 'hang a loaded bar into hot water in steps',
  oven: 'hang a loaded bar into an oven: a kettle ends at 95 °C',
  drop: 'let a spare one fall',
} as const;

/** What would have to change for a resin to pass. */
export function describeChange(change: Change): string {
  switch (change.code) {
    case 'coolerMoment':
      return `the hottest moment no more than ${round(change.toC)} °C`;
    case 'lessMargin':
      return `a margin of ${round(change.toK)} K instead, at your own judgement`;
    case 'lessStress':
      return `the part’s stress down to ${round(change.toMPa, 2)} MPa: a thicker section or a shorter arm`;
    case 'stateStress':
      return `say the part’s own stress: ${change.assumedMPa} MPa is taken while it is unknown`;
    case 'lessStrain':
      return `a part that asks for ${percent(change.to)} at most: a longer or thinner hook, less interference`;
    case 'gentler':
      return 'a part that is not knocked like this, or rounded and thicker where it falls';
    case 'thicker':
      return `the section ${round(change.times, 2)} times as thick`;
    case 'thinner':
      return `the section ${round(change.times, 2)} times thinner`;
    case 'warmerRoom':
      return change.toC === undefined
        ? 'a warmer room, or the resin warmed'
        : `a room, or resin warmed, to ${round(change.toC)} °C`;
    case 'largerFeature':
      return `no feature under ${formatMm(change.toMm)} mm`;
    case 'otherLiquid':
      return 'a wash liquid that its sheet names';
    case 'blendIt':
      return 'used as a share of another resin';
    case 'nothing':
      return `nothing: ${describeAsked(change.requirement)} belongs to the resin`;
    case 'prove':
      return `prove it: ${PROOF_WAYS[change.by]}`;
    case 'askSupplier':
      return `its supplier’s word on: ${describeAsked(change.requirement)}`;
  }
}

const PROOF_WORDS: Readonly<Record<ProofKind, { readonly title: string; readonly shows: string }>> = {
  bend: { title: 'Bend bar', shows: 'modulus, from weights and deflections' },
  break: { title: 'Bend to break', shows: 'strain at break' },
  sag: { title: 'Sag in heat', shows: 'the temperature at which a loaded bar gives way' },
  drop: { title: 'Drop', shows: 'the height of fall it stays whole from' },
  yellowing: { title: 'Yellowing', shows: 'the longest cure before it is too yellow' },
  creep: { title: 'Creep', shows: 'whether it moves over weeks' },
};
export const describeProofKind = (kind: ProofKind) => PROOF_WORDS[kind];

/** What a proof showed, in a line. */
export function describeProofResult(worked: ProofResult): string {
  switch (worked.kind) {
    case 'bend': {
      const { modulusMPa, lowMPa, highMPa, isLinear } = worked.result;
      return `${round(modulusMPa, 0)} MPa, 95 % between ${round(lowMPa, 0)} and ${round(highMPa, 0)}${isLinear ? '' : ', not on one line'}`;
    }
    case 'break': {
      const { strain, low, high, atLeast } = worked.result;
      return atLeast
        ? `did not break: at least ${percent(strain)}`
        : `broke at ${percent(strain)}, 95 % between ${percent(low)} and ${percent(high)}`;
    }
    case 'sag': {
      const { tempC, lowC, highC, bound, stressMPa } = worked.result;
      const found =
        bound === 'atLeast'
          ? `held to ${round(tempC)} °C, the last step`
          : bound === 'atMost'
            ? `gave way before ${round(tempC)} °C`
            : `gave way at ${round(tempC)} °C, between ${round(lowC)} and ${round(highC)}`;
      return `${found}, under ${round(stressMPa, 2)} MPa`;
    }
    case 'drop': {
      const { heightM, trials, survivesAtLeast, atLeast } = worked.result;
      if (trials === 0) return 'broke from every height tried';
      return `whole from ${round(heightM, 2)} m in ${trials} of ${trials}: survives at least ${round(survivesAtLeast * 100, 0)} % with 95 % confidence${atLeast ? '' : ', broken from higher'}`;
    }
    case 'yellowing': {
      const { minutes, low, high, bound } = worked.result;
      if (bound === 'atLeast') return `not too yellow at ${round(minutes)} min, the longest tried`;
      if (bound === 'atMost') return `too yellow at ${round(minutes)} min, the shortest tried`;
      return `up to ${round(minutes)} min, between ${round(low)} and ${round(high)}`;
    }
    case 'creep': {
      const { result } = worked;
      if (result === undefined) return 'waits for its second reading';
      const drift = `${formatSigned(result.driftMm)} ± ${formatMm(result.expandedU_mm)} mm`;
      return result.moved ? `moved by ${drift}` : `no movement shown: ${drift}`;
    }
  }
}

/** Why a modulus should be taken with care. */
export function describeBendNote(note: BendNote): string {
  switch (note.code) {
    case 'curved':
      return `the readings do not lie on one line: the slope changes by ${percent(note.share)}. Look for a bar that slips, creeps or sits on its supports unevenly; read within half a minute of each load`;
    case 'deep':
      return `bent by ${formatMm(note.deflectionMm)} mm, more than the ${formatMm(note.limitMm)} mm up to which the formula holds. Use lighter weights`;
    case 'stubby':
      return `the span is only ${round(note.ratio)} times the thickness; below 16 shear makes it look softer. Use a longer span`;
  }
}

export function describeProofIssue(issue: ProofIssue): string {
  switch (issue.code) {
    case 'tooFewLoads':
      return `${issue.given} of at least ${issue.needed} rows are filled. Both cells of a row count together.`;
    case 'barNotPositive':
      return 'span, width, thickness and weight must be above zero.';
    case 'loadsAllEqual':
      return 'all weights are the same: hang at least two different ones.';
    case 'bendsBackwards':
      return 'the readings fall while the weights rise. Read so that a deeper bar gives a larger number.';
    case 'lostInNoise':
      return `the bar moved by ${formatMm(issue.rangeMm)} mm, the readings wander by ${formatMm(issue.wanderMm)} mm. Use heavier weights or a longer span.`;
    case 'noDeflection':
      return 'type how far the bar was bent, one number for each bar.';
    case 'notRising':
      return `${round(issue.tempC)} °C does not lie above the step before it. Type the steps in the order of heating.`;
    case 'waterBoils':
      return `${round(issue.tempC)} °C is too hot for a bath of water, which proves up to ${issue.mostC} °C. Choose the oven for what lies above.`;
    case 'noDrops':
      return 'type at least one height of a fall.';
    case 'heightNotPositive':
      return 'a height of a fall must be above zero.';
    case 'allOneTime':
      return 'all shades were read after the same cure: cure at least two pieces for different times.';
  }
}

export function describeUnitIssue(issue: UnitIssue): string {
  switch (issue.code) {
    case 'unitUnknown':
      return `the unit “${issue.unit}” does not go with it. Understood are ${issue.known.join(', ')}.`;
    case 'zeroDensity':
      return 'a density of zero weighs nothing. Leave it blank while it is unknown.';
    case 'negativeModulus':
      return `${describeProperty(issue.property)} is negative: it would push back. Check the sign.`;
    case 'valueOutOfRange':
      return `${describeProperty(issue.property)}: ${formatProperty(issue.property, issue.value)} is no resin’s; between ${formatProperty(issue.property, issue.low)} and ${formatProperty(issue.property, issue.high)} it could be. Check the number and its unit.`;
  }
}

export function describeResinSheetIssue(issue: ResinSheetIssue): string {
  switch (issue.code) {
    case 'deflectionCrossed':
      return `the deflection temperature at the upper load, ${round(issue.highC)} °C, lies above that at the lower, ${round(issue.lowC)} °C: more load cannot bear more heat. They may have been exchanged.`;
    case 'stressesCrossed':
      return `the lower deflection test is stated at ${issue.lowMPa} MPa, the upper at ${issue.highMPa} MPa. Exchange them.`;
    case 'cureCrossed':
      return `the cure must last at least ${round(issue.floorMin)} and at most ${round(issue.ceilingMin)} minutes: no time fits. Check both.`;
    case 'unitsMixed':
      return `a modulus of ${round(issue.modulusMPa, 2)} MPa beside a strength of ${round(issue.strengthMPa, 1)} MPa: one of them is in another unit. Is the modulus in GPa?`;
    case 'viscosityWithoutTemperature':
      return `a viscosity of ${round(issue.value)} mPa·s without its temperature says nothing. Add the temperature.`;
    case 'saidTwice':
      return `${describeProperty(issue.property)} is stated twice for the same state and day. Keep one.`;
  }
}

export function describeBlendIssue(issue: BlendIssue): string {
  switch (issue.code) {
    case 'partCount':
      return `a blend has two or three parts, ${issue.given} ${issue.given === 1 ? 'is' : 'are'} given.`;
    case 'fractionsSum':
      return `the parts add up to ${percent(issue.sum)}, not 100 %.`;
    case 'fractionNotPositive':
      return `${issue.resin} has a share of ${percent(issue.fraction)}: it must lie between 0 and 100 %.`;
    case 'resinTwice':
      return `${issue.resin} stands in it twice. Add its shares together.`;
    case 'zeroDensity':
      return `${issue.resin} has a density of zero on its sheet. Mend that first.`;
    case 'overAdditiveLimit':
      return `${percent(issue.fraction)} of ${issue.resin} is more than the ${percent(issue.most)} its sheet allows as an additive.`;
  }
}

export function describeRequirementIssue(issue: RequirementIssue | RequirementJsonIssue): string {
  switch (issue.code) {
    case 'stiffnessCrossed':
      return `at least ${round(issue.leastMPa)} MPa and at most ${round(issue.mostMPa)} MPa: no stiffness is both. Exchange them, or clear one.`;
    case 'weightNegative':
      return `the weight of ${issue.criterion} is below zero. 0 leaves it out.`;
    case 'stressNegative':
      return `a stress of ${round(issue.stressMPa)} MPa: give its size without a sign.`;
    case 'notJson':
      return 'the file is no JSON.';
    case 'notReadable':
      return `${issue.detail}.`;
    case 'fieldUnknown':
      return `nobody knows the field${issue.fields.length > 1 ? 's' : ''} ${issue.fields.join(', ')}. See docs/formats.md for those there are.`;
  }
}

function describeBadRow({ where, issue }: BadRow): string {
  switch (issue.code) {
    case 'unitUnknown':
    case 'zeroDensity':
    case 'negativeModulus':
    case 'valueOutOfRange':
      return `${where}: ${describeUnitIssue(issue)}`;
    case 'proof':
      return `${where}: ${describeProofIssue(issue.issue)}`;
    case 'notReadable':
      return `${where}: ${issue.detail}.`;
    case 'nameTwice':
      return `${where} stands in the file twice. Keep one.`;
    case 'blendUnknown':
      return `${where} is blended from “${issue.name}”, which neither the file nor this shelf has.`;
    case 'blendSum':
      return `${where}: the parts of the blend add up to ${percent(issue.sum)}, not 100 %.`;
    default:
      return `${where}: ${describeResinSheetIssue(issue)}`;
  }
}

/** Bad rows that are named one by one. */
const MOST_NAMED = 6;

/** What keeps a shelf file from being taken, bad rows by name. */
export function describeShelfIssue(issue: ShelfCsvIssue): string {
  switch (issue.code) {
    case 'notJson':
      return 'the file is no JSON. Choose one that “Carry the shelf away” wrote, or a CSV with resin, property and value.';
    case 'notAShelf':
      return 'this JSON is no shelf: it must have "kind": "shelf" and a list of resins.';
    case 'tooManyResins':
      return `more than ${issue.limit} resins. Split the file.`;
    case 'badRows': {
      const named = issue.rows.slice(0, MOST_NAMED).map(describeBadRow);
      const more = issue.rows.length - named.length;
      return `${named.join(' ')}${more > 0 ? ` And ${more} more.` : ''} Nothing was taken: mend and bring it again.`;
    }
    case 'cell':
      return describeCsvIssue(issue.issue);
    default:
      return describeCsvIssue(issue);
  }
}

export interface SchoolWords {
  readonly title: string;
  readonly sides: Readonly<Record<string, { readonly label: string; readonly reason: string }>>;
}

/** Where practice differs: each side with its reason. */
export const SCHOOL_WORDS: Readonly<Record<School, SchoolWords>> = {
  supportsOff: {
    title: 'Supports come off',
    sides: {
      green: { label: 'green, before the cure', reason: 'soft tips cut clean and leave small marks' },
      cured: {
        label: 'after the cure',
        reason: 'light tips pop off, and the part does not bend under the cutter',
      },
    },
  },
  assemble: {
    title: 'Parts are put together',
    sides: {
      green: { label: 'green', reason: 'they give way and slide in, and do not fuse in the cure' },
      cured: { label: 'cured', reason: 'the fit is judged as it will stay' },
    },
  },
  cure: {
    title: 'Cure',
    sides: {
      short: { label: 'short', reason: 'keeps colour and toughness' },
      long: { label: 'long', reason: 'strength and heat settle, nothing uncured stays inside' },
    },
  },
  cureIn: {
    title: 'Cured in',
    sides: {
      air: { label: 'air', reason: 'no wet part, every station does it' },
      water: { label: 'clear water', reason: 'keeps air off: a harder skin and less yellow' },
    },
  },
  washWith: {
    title: 'Washed with',
    sides: {
      alcohol: { label: 'alcohol', reason: 'what most sheets ask for' },
      water: { label: 'water', reason: 'no solvent in the house, for resins that allow it' },
      washerFluid: {
        label: 'windscreen washer fluid',
        reason: 'cheap alcohol in water, weaker: wash longer',
      },
      soapyWater: { label: 'soapy water', reason: 'gentle on clear parts' },
    },
  },
  mixing: {
    title: 'Resins are used',
    sides: {
      neat: { label: 'neat', reason: 'the sheet holds, and a signature lasts' },
      blended: {
        label: 'blended where it helps',
        reason: 'a property no bottle has, at the price of proving it',
      },
    },
  },
};

const SIDE_WORDS = { green: 'green', cured: 'after the cure' } as const;

/** Why the house does it so, and why others do not. */
function reasonsOfSchool(school: School, side: string): string {
  const { sides } = SCHOOL_WORDS[school];
  const others = Object.entries(sides).filter(([name]) => name !== side);
  const other = others.map(([, { label, reason }]) => `${label}: ${reason}`).join('; ');
  return `Here since ${sides[side].reason}. Others: ${other}.`;
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

/** A step of the process card: what to do. */
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
        text: `in ${describeLiquid(step.liquid)}, about ${step.minutes} min, moved: ${why[step.why]}`,
      };
    }
    case 'dry':
      return {
        title: 'Dry',
        text: `${step.minutes} min or until no crevice is wet: what stays in is cured in`,
      };
    case 'supports': {
      const brittle =
        step.brittle === true
          ? 'brittle: nip tip by tip, hold the part'
          : step.brittle === false
            ? 'tough: cut, do not tear'
            : 'its elongation is unknown: as if brittle';
      const tip = step.tipMm === undefined ? '' : `tips of ${formatMm(step.tipMm)} mm; `;
      return { title: 'Supports off', text: `${SIDE_WORDS[step.at]}; ${tip}${brittle}` };
    }
    case 'cure': {
      const range =
        step.floorMin === undefined && step.ceilingMin === undefined
          ? 'its sheet states no time: prove one on a spare'
          : `not under ${step.floorMin === undefined ? 'an unstated time' : `${round(step.floorMin)} min`}, not over ${step.ceilingMin === undefined ? 'an unstated time' : `${round(step.ceilingMin)} min`}`;
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
