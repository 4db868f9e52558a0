import {
  chooseReadings,
  estimateSignature,
  type ReadingCandidate,
  type Signature,
  type Target,
} from '@/core/signature';
import { DEFAULT_INSTRUMENT, type FeatureKind, sameKind } from '@/core/measure';
import { HANGING, HOLE, ON_PLATE, PIN, SLOT_X, WIDTH_X, WIDTH_Y } from './block-pieces';
import { BLOCK_SIZES, type BlockSize } from './blocks';

/** What most parts ask for, where a block is not chosen for a job. */
const USUAL_TARGETS: readonly Target[] = (
  [
    ['bore', { sense: 'inside', shape: 'round', axis: 'XY' }, 8],
    ['rim', { sense: 'outside', shape: 'round', axis: 'XY' }, 20],
    ['slot', { sense: 'inside', shape: 'flat', axis: 'X' }, 4],
    ['arm', { sense: 'outside', shape: 'flat', axis: 'Y' }, 30],
    ['step', { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' }, 6],
  ] as const
).map(([feature, kind, targetMm]) => ({
  feature,
  kind,
  targetMm,
  lowerDeviationMm: -0.1,
  upperDeviationMm: 0.1,
}));

/** Kinds that a block can be built with any size of, their name on it and how large they may be, mm. */
const BUILDABLE: readonly { kind: FeatureKind; name: string; leastMm: number; mostMm: number }[] = [
  { kind: WIDTH_X, name: 'width X', leastMm: 2, mostMm: 60 },
  { kind: WIDTH_Y, name: 'width Y', leastMm: 2, mostMm: 60 },
  { kind: SLOT_X, name: 'slot', leastMm: 1, mostMm: 25 },
  { kind: HOLE, name: 'hole', leastMm: 1.5, mostMm: 25 },
  { kind: PIN, name: 'pin', leastMm: 1.5, mostMm: 25 },
  { kind: ON_PLATE, name: 'height', leastMm: 2, mostMm: 20 },
  { kind: HANGING, name: 'hanging plate', leastMm: 1, mostMm: 8 },
];

/** A size of a block like one of a job: the same kind and length where a block can have it, the nearest it can else. */
function sizeLike({ kind, targetMm }: Target): BlockSize | undefined {
  const across = kind.sense === 'inside' && kind.shape === 'flat' && kind.axis === 'Y';
  const like = BUILDABLE.find((each) => sameKind(each.kind, across ? SLOT_X : kind));
  if (like === undefined) return undefined;
  const mm = Math.round(Math.min(like.mostMm, Math.max(like.leastMm, targetMm)) * 10) / 10;
  return { feature: `${like.name} ${mm}`, kind: like.kind, drawnMm: mm };
}

/** Sizes that a block for a job may have: the usual ones, and sizes like the job's own. */
export function sizesFor(targets: readonly Target[]): BlockSize[] {
  const own = targets.flatMap((target) => sizeLike(target) ?? []);
  const all = new Map([...own, ...BLOCK_SIZES].map((size) => [size.feature, size]));
  return [...all.values()];
}

/** Mean of three readings with an ordinary caliper, mm. */
const U_OF_THREE_MM = 0.005;

/** Sizes of a block as readings that could be taken of a print of it. */
export function blockReadings(sizes: readonly BlockSize[], instrument: string): ReadingCandidate[] {
  return sizes.map((size) => ({
    ...size,
    feature: `block ${size.feature}`,
    print: 'block',
    u_mm: U_OF_THREE_MM,
    instrument,
  }));
}

/** A printer of which nothing was measured. */
function nothingKnown(): Signature {
  return estimateSignature([], { instruments: { '': DEFAULT_INSTRUMENT } });
}

/**
 * Returns the sizes that are most informative about the targets, most informative first, given what is known of the
 * printer; deterministic. Default: usual targets, an unknown printer.
 */
export function chooseBlock(
  count: number,
  targets: readonly Target[] = USUAL_TARGETS,
  { pool = sizesFor(targets), signature = nothingKnown(), instrument = '' }: Partial<Ground> = {},
): BlockSize[] {
  const candidates = blockReadings(pool, instrument);
  const chosen = chooseReadings(signature, targets, candidates, Math.min(count, pool.length));
  return chosen.map((candidate) => pool[candidates.indexOf(candidate)]);
}

/** What a block is chosen from, what is known of the printer, and the caliper that will read it. */
interface Ground {
  readonly pool: readonly BlockSize[];
  readonly signature: Signature;
  readonly instrument: string;
}
