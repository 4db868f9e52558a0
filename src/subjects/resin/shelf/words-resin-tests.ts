import { formatMm, formatSigned, percent, round } from '@/core/kit/wording';
import type { BendNote, ResinTestIssue, ResinTestKind, ResinTestResult } from '@/core/resin';

const RESIN_TEST_WORDS: Readonly<Record<ResinTestKind, { readonly title: string; readonly shows: string }>> =
  {
    bend: { title: 'Bend bar test', shows: 'modulus, from weights and deflections' },
    break: { title: 'Bend-to-break test', shows: 'strain at break' },
    sag: { title: 'Heat sag', shows: 'the temperature at which a loaded bar yields' },
    drop: { title: 'Drop test', shows: 'the drop height that the part survives' },
    yellowing: { title: 'Yellowing test', shows: 'the longest cure before it gets too yellow' },
    creep: { title: 'Creep test', shows: 'whether it moves over weeks' },
  };

export const describeResinTestKind = (kind: ResinTestKind) => RESIN_TEST_WORDS[kind];

/** Result of a test, in one line. */
export function describeResinTestResult(worked: ResinTestResult): string {
  switch (worked.kind) {
    case 'bend': {
      const { modulusMPa, lowMPa, highMPa, isLinear } = worked.result;
      return `${round(modulusMPa, 0)} MPa, 95 % between ${round(lowMPa, 0)} and ${round(highMPa, 0)}${isLinear ? '' : ', not on a straight line'}`;
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
          ? `kept its shape up to ${round(tempC)} °C, the last step`
          : bound === 'atMost'
            ? `yielded before ${round(tempC)} °C`
            : `yielded at ${round(tempC)} °C, between ${round(lowC)} and ${round(highC)}`;
      return `${found}, under ${round(stressMPa, 2)} MPa`;
    }
    case 'drop': {
      const { heightM, trials, survivesAtLeast, atLeast } = worked.result;
      if (trials === 0) return 'broke from every height tested';
      return `whole from ${round(heightM, 2)} m in ${trials} of ${trials}: survives at least ${round(survivesAtLeast * 100, 0)} % with 95 % confidence${atLeast ? '' : ', broke from higher'}`;
    }
    case 'yellowing': {
      const { minutes, low, high, bound } = worked.result;
      if (bound === 'atLeast') return `not too yellow at ${round(minutes)} min, the longest tried`;
      if (bound === 'atMost') return `too yellow at ${round(minutes)} min, the shortest time tested`;
      return `up to ${round(minutes)} min, between ${round(low)} and ${round(high)}`;
    }
    case 'creep': {
      const { result } = worked;
      if (result === undefined) return 'second reading is due later';
      const drift = `${formatSigned(result.driftMm)} ± ${formatMm(result.expandedU_mm)} mm`;
      return result.moved ? `moved by ${drift}` : `no measurable movement: ${drift}`;
    }
  }
}

/** Why a modulus should be taken with care. */
export function describeBendNote(note: BendNote): string {
  switch (note.code) {
    case 'curved':
      return `the readings are not on a straight line: the slope changes by ${percent(note.share)}. Check for a bar that slips, creeps or sits unevenly on its supports. Read within half a minute of each load`;
    case 'deep':
      return `bent by ${formatMm(note.deflectionMm)} mm, more than the ${formatMm(note.limitMm)} mm that the formula allows. Use lighter weights`;
    case 'stubby':
      return `the span is only ${round(note.ratio)} times the thickness. Below 16, shear makes the bar look softer. Use a longer span`;
  }
}

export function describeResinTestIssue(issue: ResinTestIssue): string {
  switch (issue.code) {
    case 'tooFewLoads':
      return `${issue.given} of at least ${issue.needed} rows are filled. A row needs both cells.`;
    case 'barNotPositive':
      return 'span, width, thickness and weight must be above zero.';
    case 'loadsAllEqual':
      return 'all weights are equal. Use at least two different weights.';
    case 'bendsBackwards':
      return 'the readings fall while the weights rise. Read so that a larger deflection gives a larger number.';
    case 'lostInNoise':
      return `the bar moved by ${formatMm(issue.rangeMm)} mm, but the readings vary by ${formatMm(issue.wanderMm)} mm. Use heavier weights or a longer span.`;
    case 'noDeflection':
      return 'type the deflection, one number per bar.';
    case 'notRising':
      return `${round(issue.tempC)} °C is not above the step before it. Type the steps in the order of heating.`;
    case 'waterBoils':
      return `${round(issue.tempC)} °C is too hot for a water bath, which tests up to ${issue.mostC} °C. Use an oven for higher temperatures.`;
    case 'noDrops':
      return 'type at least one drop height.';
    case 'heightNotPositive':
      return 'a drop height must be above zero.';
    case 'allOneTime':
      return 'all shades have the same cure time. Cure at least two pieces for different times.';
  }
}
