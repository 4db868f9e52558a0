import type { JointKind } from '@/core/fit/mating';

/** What the pin and the span of a joint are called. */
interface JointPartWords {
  readonly pin: string;
  readonly span: string;
}

const JOINT_PARTS: Readonly<Record<JointKind, JointPartWords>> = {
  hinge: { pin: 'Pin, diameter', span: 'Knuckle length on the pin' },
  ball: { pin: 'Ball, diameter', span: 'Socket depth around the ball' },
  links: { pin: 'Link bar thickness', span: 'Inside length of a link' },
  slider: { pin: 'Rail, width', span: 'Sliding length' },
};

export function describeJointParts(kind: JointKind): JointPartWords {
  return JOINT_PARTS[kind];
}
