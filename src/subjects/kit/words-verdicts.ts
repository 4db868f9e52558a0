import { formatMm } from '@/core/kit/wording';
import type { FeatureKind, Outcome, PartState, Settling, Verdict } from '@/core/measure';
import type { FitWord } from '@/core/signature';

/** in · out, 0.04 over · can't tell yet; a rule other than the guarded one is named. */
export function describeVerdict(verdict: Verdict): string {
  const rule = verdict.rule === 'shared' ? ' (shared risk)' : '';
  if (verdict.kind === 'in') return `in${rule}`;
  if (verdict.kind === 'cantTell') return 'can’t tell yet';
  return `out, ${formatMm(verdict.byMm, verdict.byMm < 0.0095 ? 3 : 2)} ${verdict.side}${rule}`;
}

/** Why a size that was read is not judged: nothing tells what it comes to in the other state. */
export function describeOtherState({ read, counts }: { read: PartState; counts: PartState }): string {
  return `measured ${read}; limits apply when ${counts}`;
}

/** What a size read in one state comes to in the state in which its limits hold. */
export function describeConverted({
  read,
  counts,
  size,
}: {
  read: PartState;
  counts: PartState;
  size: { readonly sizeMm: number; readonly expandedU_mm: number };
}): string {
  return `measured ${read}; ${counts} it becomes ${formatMm(size.sizeMm, 3)} ± ${formatMm(size.expandedU_mm, 3)}`;
}

/** What would turn “can't tell yet” into an answer. */
export function describeSettling(settling: Settling): string {
  switch (settling.kind) {
    case 'repeats':
      return settling.more === 1 ? 'one more reading decides it' : `${settling.more} more readings decide it`;
    case 'instrument':
      return `more readings do not decide it: use a caliper with a limit of error of ${formatMm(Math.floor(settling.mpeMm * 1000) / 1000, 3)} mm`;
    case 'nothing':
      return 'on the limit: only a more accurate instrument can decide';
  }
}

export function describeRule(rule: Verdict['rule']): string {
  return rule === 'guarded'
    ? 'guarded: size ± U must be within the limits (ISO 14253-1)'
    : 'shared risk: only the size must be within the limits';
}

/** outside ⌀ · inside along X · height, on the plate */
export function describeKind(kind: FeatureKind): string {
  if (kind.axis === 'Z') {
    if (kind.sense === 'inside') return 'gap along Z';
    if (kind.sense === 'pitch') return 'pitch along Z';
    return kind.base === 'plate' ? 'height, on the plate' : 'height, on supports';
  }
  if (kind.shape === 'round') return kind.sense === 'pitch' ? 'centre distance' : `${kind.sense} ⌀`;
  const degrees = kind.angleRad === undefined ? undefined : Math.round((kind.angleRad * 180) / Math.PI);
  return `${kind.sense} along ${kind.axis === 'XY' ? `${degrees}°` : kind.axis}`;
}

const FIT_WORDS_SHOWN: Readonly<Record<FitWord, string>> = {
  wontEnter: 'won’t enter',
  needsForce: 'needs force',
  right: 'right',
  slides: 'slides',
  rattles: 'rattles',
};

export function describeFitWord(word: FitWord): string {
  return FIT_WORDS_SHOWN[word];
}

function listNames(names: readonly string[]): string {
  if (names.length <= 3) return names.join(', ');
  return `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`;
}

/** How a print ended, in a few words. */
export function describeOutcome(outcome: Outcome): string {
  switch (outcome.kind) {
    case 'notPrinted':
      return 'drawn, not printed';
    case 'notRead':
      return 'printed, not measured';
    case 'otherState':
      return describeOtherState(outcome);
    case 'partly':
      return `${outcome.read} of ${outcome.of} features measured`;
    case 'in':
      return 'all in limits';
    case 'out':
      return `out: ${listNames(outcome.features)}`;
    case 'cantTell':
      return `can’t tell yet: ${listNames(outcome.features)}`;
  }
}
