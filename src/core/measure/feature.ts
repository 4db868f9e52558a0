/** outside: material between the jaws; inside: air between the jaws; pitch: two faces looking the same way. */
export type Sense = 'outside' | 'inside' | 'pitch';
export type Shape = 'flat' | 'round';
/** Direction measured, as printed; XY for the diameter of an upright round feature, or a flat one at an angle. */
export type Axis = 'X' | 'Y' | 'Z' | 'XY';
export type Base = 'plate' | 'supported';
export type PartState = 'green' | 'washed' | 'cured' | 'aged' | 'coated';
/** What touches a size: the jaws, or the rod that goes into a depth. */
export type Jaw = 'outside' | 'inside' | 'depth';

export const SENSES: readonly Sense[] = ['outside', 'inside', 'pitch'];
export const SHAPES: readonly Shape[] = ['flat', 'round'];
export const AXES: readonly Axis[] = ['X', 'Y', 'Z', 'XY'];
export const BASES: readonly Base[] = ['plate', 'supported'];
export const JAWS: readonly Jaw[] = ['outside', 'inside', 'depth'];
export const PART_STATES: readonly PartState[] = ['green', 'washed', 'cured', 'aged', 'coated'];

/** What the direction and surroundings of a size are, in the orientation as printed. */
export interface FeatureKind {
  readonly sense: Sense;
  readonly shape: Shape;
  readonly axis: Axis;
  /** Direction from X, only for a flat feature with axis XY. */
  readonly angleRad?: number;
  /** What is below the lower face, only for an outside feature along Z. */
  readonly base?: Base;
}

export type FeatureKindIssue =
  | { readonly code: 'baseMissing' }
  | { readonly code: 'angleMissing' }
  | { readonly code: 'roundNeedsXY'; readonly axis: Axis };

/** The jaws that touch a feature of this sense; a pitch carries no jaw bias. */
export function jawOf(sense: Sense): Jaw | undefined {
  return sense === 'pitch' ? undefined : sense;
}

/** What a kind still lacks to be computed with, or undefined when it is whole. */
export function findKindIssue(kind: FeatureKind): FeatureKindIssue | undefined {
  if (kind.shape === 'round' && kind.axis !== 'XY') return { code: 'roundNeedsXY', axis: kind.axis };
  if (kind.axis === 'Z' && kind.sense === 'outside' && kind.base === undefined)
    return { code: 'baseMissing' };
  if (kind.axis === 'XY' && kind.shape === 'flat' && kind.angleRad === undefined)
    return { code: 'angleMissing' };
  return undefined;
}

/** The same way of being printed and measured: one law row fits both. */
export function sameKind(a: FeatureKind, b: FeatureKind): boolean {
  const sameAngle = Math.abs((a.angleRad ?? 0) - (b.angleRad ?? 0)) < 1e-9;
  return a.sense === b.sense && a.shape === b.shape && a.axis === b.axis && a.base === b.base && sameAngle;
}
