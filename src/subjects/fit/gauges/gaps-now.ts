import { type Db, queries } from '@/store';
import { changesAsEvidence } from '@/subjects/signature';
import type { FoundGapStep } from './view-gap-test';

/** How far an exposure that was changed since has moved gaps, mm: the gap that would come out now as this one did. */
interface Moved {
  readonly mm: number;
  readonly sdMm: number;
}

const UNMOVED: Moved = { mm: 0, sdMm: 0 };

/** Two walls grow into a gap in the plane; light cures through into one along the height from above. */
function movedSince(
  changes: ReturnType<typeof changesAsEvidence>,
  from: number,
): Record<FoundGapStep['direction'], Moved> {
  const later = changes.slice(from).flatMap(({ moved }) => moved ?? []);
  const sum = (name: 'edge' | 'zSupported', walls: number): Moved =>
    later.reduce(
      ({ mm, sdMm }, moved) => ({
        mm: mm + walls * (moved[name]?.mean ?? 0),
        sdMm: Math.hypot(sdMm, walls * (moved[name]?.sd ?? 0)),
      }),
      UNMOVED,
    );
  return { plane: sum('edge', 2), height: sum('zSupported', 1) };
}

/**
 * Returns gaps tested before an exposure change as gaps of today: edges have moved since, by the known amount and with
 * its uncertainty. Others stay unchanged.
 */
export function asGapsNow(db: Db, rungs: readonly FoundGapStep[]): FoundGapStep[] {
  const profiles = [...new Set(rungs.map(({ profileId }) => profileId))];
  const eras = new Map(profiles.map((id) => [id, erasOf(db, id)]));
  return rungs.map((rung) => {
    const { mm, sdMm } = eras.get(rung.profileId)!(rung.printId)[rung.direction];
    return sdMm === 0
      ? rung
      : { ...rung, gapMm: Math.max(0.001, rung.gapMm + mm), movedMm: mm, unsureMm: sdMm };
  });
}

/** For a print of a profile, what has moved since it was made. */
function erasOf(db: Db, profileId: number) {
  const kinds = queries.listChanges(db, profileId);
  const moving = kinds.some(({ kinds: own }) => own.includes('exposure'));
  const changes = moving ? changesAsEvidence(db, profileId) : [];
  const madeAt = new Map(
    (moving ? queries.listPrintsOfProfile(db, profileId) : []).map((print) => [
      print.id,
      print.madeAt.getTime(),
    ]),
  );
  return (printId: number) => {
    const made = madeAt.get(printId) ?? Infinity;
    const from = kinds.findIndex(({ at }) => at.getTime() > made);
    return movedSince(changes, from < 0 ? changes.length : from);
  };
}
