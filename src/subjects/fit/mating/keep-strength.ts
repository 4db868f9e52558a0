import type { PropertyId } from '@/core/resin';
import { ok, type Result } from '@/core/kit';
import { allOrNothing, type Db } from '@/store';
import { keepQuote } from '@/subjects/resin/shelf';
import type { ShelfChangeIssue } from '@/subjects/resin/shelf/shared';

/** Stores the datasheet strength that somebody entered for a resin, for every job. */
export function keepStrength(
  db: Db,
  resinId: number,
  strength: { readonly modulusMPa?: number; readonly strengthMPa?: number; readonly breakStrain?: number },
  on: string,
): Result<void, ShelfChangeIssue> {
  const stated: [PropertyId, number | undefined][] = [
    ['flexuralModulus_MPa', strength.modulusMPa],
    ['flexuralStrength_MPa', strength.strengthMPa],
    ['elongation', strength.breakStrain],
  ];
  return allOrNothing(db, (tx) => {
    for (const [property, value] of stated) {
      if (value === undefined) continue;
      const kept = keepQuote(tx, resinId, { property, value, condition: 'cured', source: 'own', on });
      if (!kept.ok) return kept;
    }
    return ok(undefined);
  });
}
