import { BLOCK_SIZES, blockReadings } from '@/core/fit/gauges';
import {
  type Change,
  type ParameterName,
  rankSettlingReadings,
  type ReadingCandidate,
  voidedBy,
} from '@/core/signature';
import { type Db, queries } from '@/store';
import { type LearnedSignature, newestSignature } from './newest-signature';

/** The one reading that reduces the uncertainty after a change most. */
export interface Settling {
  readonly candidate: ReadingCandidate;
  /** Share of that uncertainty which it would remove. */
  readonly share: number;
}

/** A change as the signature page shows it. */
export interface ChangeView {
  readonly change: queries.ProfileChange;
  readonly givenBack: Change['givenBack'];
  readonly moved: Change['moved'];
  /** Readings taken of prints made since. */
  readonly readingsSince: number;
  /** Only of the newest change. */
  readonly settling?: Settling;
  /** Only of the newest: parameters of which less is known now than half of what the prior leaves open. */
  readonly open?: readonly ParameterName[];
}

/** Sizes of the usual block, read on a print to come. */
const CANDIDATES = blockReadings(BLOCK_SIZES, '');

function openOf({ signature }: LearnedSignature, givenBack: Change['givenBack']): ParameterName[] {
  return signature.parameters
    .filter(({ name, pinned }) => (givenBack[name] ?? 0) > 0 && !pinned)
    .map(({ name }) => name);
}

/** Returns what changed in a profile, newest first, with what became invalid and which reading helps most. */
export function viewChanges(db: Db, profileId: number): ChangeView[] {
  const changes = queries.listChanges(db, profileId);
  if (changes.length === 0) return [];
  const learned = newestSignature(db, profileId);
  const madeAt = new Map(
    queries.listPrintsOfProfile(db, profileId).map((print) => [print.id, print.madeAt.getTime()]),
  );
  const reads = queries.listPrintsRead(db, profileId);
  return changes.toReversed().map((change, i): ChangeView => {
    const { givenBack, moved } = voidedBy(change);
    const readingsSince = reads
      .filter(({ printId }) => (madeAt.get(printId) ?? 0) >= change.at.getTime())
      .reduce((sum, { count }) => sum + count, 0);
    if (i > 0) return { change, givenBack, moved, readingsSince };
    const [best] = rankSettlingReadings(learned.signature, { givenBack }, CANDIDATES);
    return {
      change,
      givenBack,
      moved,
      readingsSince,
      settling: { candidate: best.candidate, share: best.settled },
      open: openOf(learned, givenBack),
    };
  });
}
