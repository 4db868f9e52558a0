import type { Evidence } from '@/core/log';
import type { FindingDefinition } from './finding';
import { BODIES_FUSE, GAP_CLOSES, ROOF_CLOSES, STACK_FUSES } from './kinds/air';
import { AREA_JUMP, ISLAND, LARGE_AREA, OVERHANG } from './kinds/area';
import { SMALL_CONTACT, STANDS_ON_NOTHING } from './kinds/contact';
import { CUP, TRAP, VOID } from './kinds/hollow';
import { INSIDE_OUT, NOT_CLOSED } from './kinds/mesh';
import { BODIES_OVERLAP } from './kinds/overlap';
import { TOO_LARGE } from './kinds/room';
import { THIN_FLOOR, THIN_WALL } from './kinds/solid';

/** Every finding; a code is stored with a check and never changes. Equal costs keep this order. */
export const FINDINGS = {
  tooLarge: TOO_LARGE,
  notClosed: NOT_CLOSED,
  insideOut: INSIDE_OUT,
  standsOnNothing: STANDS_ON_NOTHING,
  smallContact: SMALL_CONTACT,
  island: ISLAND,
  cup: CUP,
  trap: TRAP,
  void: VOID,
  thinWall: THIN_WALL,
  gapCloses: GAP_CLOSES,
  bodiesFuse: BODIES_FUSE,
  thinFloor: THIN_FLOOR,
  roofCloses: ROOF_CLOSES,
  stackFuses: STACK_FUSES,
  bodiesOverlap: BODIES_OVERLAP,
  largeArea: LARGE_AREA,
  areaJump: AREA_JUMP,
  overhang: OVERHANG,
} as const satisfies Readonly<Record<string, FindingDefinition>>;

export type FindingCode = keyof typeof FINDINGS;

export const FINDING_CODES = Object.keys(FINDINGS) as [FindingCode, ...FindingCode[]];

export const findingOf = (code: FindingCode): FindingDefinition => FINDINGS[code];

interface Coded {
  readonly code: FindingCode;
}

/** Cautions of findings, each once. */
export function cautionsOf(findings: readonly Coded[]): string[] {
  return [...new Set(findings.flatMap(({ code }) => findingOf(code).caution ?? []))];
}

/** Findings where liquid stays in the part. */
export const countCrevicesOf = (findings: readonly Coded[]): number =>
  findings.filter(({ code }) => findingOf(code).holdsLiquid).length;

/** What a check says to the failure reader: each piece of evidence that a finding can give, and whether one gives it. */
export function evidenceOfFindings(findings: readonly Coded[]): Partial<Record<Evidence, boolean>> {
  const said: Partial<Record<Evidence, boolean>> = {};
  for (const code of FINDING_CODES) {
    const { speaksFor } = findingOf(code);
    if (speaksFor !== undefined)
      said[speaksFor] = said[speaksFor] === true || findings.some((finding) => finding.code === code);
  }
  return said;
}
