import { type Change, voidedBy } from '@/core/signature';
import { type Db, printKey, queries } from '@/store';

/** Changes of a profile with the prints made before each: what their readings still tell of the law now. */
export function changesAsEvidence(db: Db, profileId: number): Change[] {
  const changes = queries.listChanges(db, profileId);
  if (changes.length === 0) return [];
  const prints = queries.listPrintsOfProfile(db, profileId);
  return changes.map((change, i) => {
    const from = changes[i - 1]?.at.getTime() ?? -Infinity;
    const until = change.at.getTime();
    const printsBefore = prints
      .filter(({ madeAt }) => madeAt.getTime() >= from && madeAt.getTime() < until)
      .map(({ id }) => printKey(id));
    return { ...voidedBy(change), printsBefore };
  });
}
