import type { GapDirection, JointKind, LadderNote, RungOutcome } from '@/core/fits';
import { formatMm } from '@/subjects/language/shared';

const JOINT_WORDS: Readonly<Record<JointKind, string>> = {
  hinge: 'hinge, pin in knuckles',
  ball: 'ball and socket',
  links: 'chain links',
  slider: 'captured slider',
};

export function describeJoint(kind: JointKind): string {
  return JOINT_WORDS[kind];
}

export function describeGapDirection(direction: GapDirection): string {
  return direction === 'plane' ? 'between walls, in the plane of the plate' : 'below a roof, through height';
}

const OUTCOME_WORDS: Readonly<Record<RungOutcome, string>> = {
  fused: 'fused',
  stiff: 'stiff',
  free: 'free',
  sloppy: 'sloppy',
};

export function describeRungOutcome(outcome: RungOutcome): string {
  return OUTCOME_WORDS[outcome];
}

/** What a ladder's outcomes leave open, and the way on. */
export function describeLadderNote(note: LadderNote): string {
  switch (note.code) {
    case 'noRungs':
      return 'No rung tried yet. The figures are assumed for an unknown printer.';
    case 'allFused':
      return `Every rung up to ${formatMm(note.mostMm)} fused: wider gaps are needed. Print a ladder that starts there.`;
    case 'allFree':
      return `Every rung from ${formatMm(note.leastMm)} came free: narrower gaps may work. Print a ladder with narrower gaps to find out.`;
    case 'crossed':
      return `${formatMm(note.fusedMm)} did not come free though ${formatMm(note.freeMm)} did: some of it is chance, so the recommended gap is wider. A second ladder would narrow it.`;
  }
}
