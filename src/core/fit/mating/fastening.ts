import { wishedClearance } from './classes';
import { BRITTLE_BELOW } from './press';
import type { Nut } from './standard-parts';

export type Fastening = 'nutPocket' | 'throughBolt' | 'gluedInsert' | 'tappedThread' | 'hotInsert';

interface FasteningNeed {
  readonly nut: Nut;
  /** Elongation at break of the resin, as a share. */
  readonly breakStrain: number;
  /** How often it will be undone. */
  readonly undone: 'never' | 'sometimes' | 'often';
  /** Can both sides be reached. */
  readonly bothSides: boolean;
  /** Outside of a bought insert, mm, where one is at hand: measure yours. */
  readonly insertOuterMm?: number;
}

/** A size to draw: the wanted one, before what the process does to it. */
export interface FasteningSize {
  readonly what: 'hole' | 'acrossFlats' | 'nutDepth' | 'insertHole' | 'tapHole' | 'bossOuter' | 'engagement';
  readonly mm: number;
}

interface FasteningAdvice {
  readonly way: Fastening;
  /** 0 is refused. */
  readonly rank: number;
  readonly reasons: readonly FasteningReason[];
  readonly sizes: readonly FasteningSize[];
}

export type FasteningReason =
  | 'doesNotMelt'
  | 'loadsAsCompression'
  | 'needsBothSides'
  | 'cannotReach'
  | 'wearsOut'
  | 'tooBrittleToTap'
  | 'finePitchStrips'
  | 'glueHoldsFor'
  | 'captiveForGood'
  | 'measureYours';

/** Gap per side for an adhesive, mm: thick enough to stay, thin enough to hold. */
const GLUE_GAP_MM = 0.1;

/**
 * Wall around a screw: 0.6 times the screw diameter in a tough resin, once the diameter in a brittle one, at least 1.6
 * mm.
 */
export function bossWall(threadMm: number, breakStrain: number): number {
  return Math.max(1.6, threadMm * (breakStrain < BRITTLE_BELOW ? 1 : 0.6));
}

/**
 * Ways to hold a screw in cured resin, best first, with the sizes they ask for. A hot-set insert is always refused:
 * a crosslinked resin does not melt round it, it cracks or crumbles.
 */
export function adviseFastening(need: FasteningNeed): FasteningAdvice[] {
  const { nut, breakStrain, undone, bothSides, insertOuterMm } = need;
  const wall = bossWall(nut.threadMm, breakStrain);
  const slide = (mm: number) => {
    const { lowMm, highMm } = wishedClearance('slide', mm);
    return mm + (lowMm + highMm) / 2;
  };
  const boss = (innerMm: number): FasteningSize => ({ what: 'bossOuter', mm: innerMm + 2 * wall });
  const insert = insertOuterMm ?? nut.threadMm * 1.5;
  const tapHole = nut.threadMm - 0.9 * nut.pitchMm;
  const brittle = breakStrain < BRITTLE_BELOW;
  const ways: FasteningAdvice[] = [
    {
      way: 'nutPocket',
      rank: undone === 'often' ? 5 : 4,
      reasons: ['loadsAsCompression', 'captiveForGood'],
      sizes: [
        { what: 'acrossFlats', mm: slide(nut.flatsMm) },
        { what: 'nutDepth', mm: slide(nut.thicknessMm) },
        { what: 'hole', mm: nut.mediumHoleMm },
        boss(nut.cornersMm),
      ],
    },
    {
      way: 'throughBolt',
      rank: bothSides ? 4.5 : 0,
      reasons: bothSides ? ['loadsAsCompression', 'needsBothSides'] : ['cannotReach'],
      sizes: [{ what: 'hole', mm: nut.mediumHoleMm }, boss(nut.mediumHoleMm)],
    },
    {
      way: 'gluedInsert',
      rank: undone === 'often' ? 2.5 : 3,
      reasons: insertOuterMm === undefined ? ['glueHoldsFor', 'measureYours'] : ['glueHoldsFor'],
      sizes: [{ what: 'insertHole', mm: insert + 2 * GLUE_GAP_MM }, boss(insert + 2 * GLUE_GAP_MM)],
    },
    {
      way: 'tappedThread',
      rank: undone === 'often' || brittle || nut.pitchMm < 0.5 ? 0 : undone === 'never' ? 2 : 1,
      reasons: [
        ...(brittle ? (['tooBrittleToTap'] as const) : []),
        ...(nut.pitchMm < 0.5 ? (['finePitchStrips'] as const) : []),
        'wearsOut',
      ],
      sizes: [
        { what: 'tapHole', mm: tapHole },
        { what: 'engagement', mm: 2 * nut.threadMm },
        boss(nut.threadMm),
      ],
    },
    { way: 'hotInsert', rank: 0, reasons: ['doesNotMelt'], sizes: [] },
  ];
  return ways.sort((a, b) => b.rank - a.rank);
}
