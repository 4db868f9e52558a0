import { formatMm } from '@/core/kit/wording';
import type { GapDirection, JointKind, GapTestNote, GapStepOutcome } from '@/core/fit/mating';

const JOINT_WORDS: Readonly<Record<JointKind, string>> = {
  hinge: 'hinge (pin in knuckles)',
  ball: 'ball and socket',
  links: 'chain links',
  slider: 'captured slider',
};

export function describeJoint(kind: JointKind): string {
  return JOINT_WORDS[kind];
}

export function describeGapDirection(direction: GapDirection): string {
  return direction === 'plane' ? 'between walls, in the plane of the plate' : 'below a roof, along Z';
}

const OUTCOME_WORDS: Readonly<Record<GapStepOutcome, string>> = {
  fused: 'fused',
  stiff: 'stiff',
  free: 'free',
  sloppy: 'too loose',
};

export function describeGapStepOutcome(outcome: GapStepOutcome): string {
  return OUTCOME_WORDS[outcome];
}

/** What the outcomes of a gap test leave open, and what to do next. */
export function describeGapTestNote(note: GapTestNote): string {
  switch (note.code) {
    case 'noRungs':
      return 'No step tested yet. The values assume an unknown printer.';
    case 'allFused':
      return `Every step up to ${formatMm(note.mostMm)} fused. Print another test that starts there, with wider gaps.`;
    case 'allFree':
      return `Every step from ${formatMm(note.leastMm)} came free. Narrower gaps may work: print a test with narrower gaps to find out.`;
    case 'crossed':
      return `${formatMm(note.fusedMm)} did not come free, but ${formatMm(note.freeMm)} did. The result is partly chance, so the recommended gap is wider. A second test narrows it.`;
  }
}
