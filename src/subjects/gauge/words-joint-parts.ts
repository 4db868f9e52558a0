import type { JointKind } from '@/core/fits';

/** What the pin and the span of a joint are called. */
interface JointPartWords {
  readonly pin: string;
  readonly span: string;
}

const JOINT_PARTS: Readonly<Record<JointKind, JointPartWords>> = {
  hinge: { pin: 'Pin, diameter', span: 'Length of the knuckles on the pin' },
  ball: { pin: 'Ball, diameter', span: 'Depth of the socket round it' },
  links: { pin: 'Bar of a link', span: 'Inside length of a link' },
  slider: { pin: 'Rail, width', span: 'Length that slides' },
};

export function describeJointParts(kind: JointKind): JointPartWords {
  return JOINT_PARTS[kind];
}
