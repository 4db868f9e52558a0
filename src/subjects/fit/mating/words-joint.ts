import { formatMm } from '@/core/kit/wording';
import type { JointOutcome } from '@/core/fit/mating';

const OUTCOME_WORDS: Readonly<Record<JointOutcome, { readonly name: string; readonly means: string }>> = {
  free: { name: 'free', means: 'moves by hand' },
  stiff: { name: 'stiff', means: 'moves with a tool' },
  fused: { name: 'fused', means: 'does not move' },
  broken: { name: 'broken', means: 'broke while being freed' },
};

export function describeJointOutcome(outcome: JointOutcome): {
  readonly name: string;
  readonly means: string;
} {
  return OUTCOME_WORDS[outcome];
}

interface Found {
  readonly outcome: JointOutcome;
  readonly playMm?: number;
  readonly playDeg?: number;
}

/** free, play 0.12 mm, 1.4° */
export function describeJointFound({ outcome, playMm, playDeg }: Found, floppy: boolean): string {
  const play = [
    playMm === undefined ? '' : `${formatMm(playMm)} mm`,
    playDeg === undefined ? '' : `${formatMm(playDeg, 1)}°`,
  ].filter((part) => part !== '');
  const felt = play.length === 0 ? '' : `, play ${play.join(', ')}`;
  return `${OUTCOME_WORDS[outcome].name}${felt}${floppy ? ', too loose' : ''}`;
}
