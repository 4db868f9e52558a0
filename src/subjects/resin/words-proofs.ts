import type { BendNote, ProofIssue, ProofKind, ProofResult } from '@/core/resins';
import { formatMm, formatSigned, percent, round } from '@/subjects/language/shared';

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
