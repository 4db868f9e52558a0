import type { PropertyId } from '@/core/resins';
import { ok, type Result } from '@/core/result';
import type { Db } from '@/store';
import { keepQuote, type ShelfChangeIssue } from '@/subjects/resin';

/** Keeps what somebody says that a resin stands on its sheet, for every job. */
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
  for (const [property, value] of stated) {
    if (value === undefined) continue;
    const kept = keepQuote(db, resinId, { property, value, condition: 'cured', source: 'own', on });
    if (!kept.ok) return kept;
  }
  return ok(undefined);
}
