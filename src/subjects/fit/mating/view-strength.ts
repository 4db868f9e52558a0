import { evidenceOf, type Known, modulusOf, type Quote, strengthOfResin } from '@/core/resin';
import { type Db, queries } from '@/store';
import { resinFile } from '@/subjects/resin/shelf';

/** A value a fit goes by, with where it comes from. */
export interface StrengthValue {
  readonly value: number;
  readonly source: Quote['source'];
}

/** What a cured resin stands; a field is missing where nobody has said. */
export interface ResinStrength {
  readonly modulusMPa?: StrengthValue;
  readonly strengthMPa?: StrengthValue;
  readonly breakStrain?: StrengthValue;
}

/** Returns what a resin withstands by its tests and its datasheet, on the cautious side of an interval. */
export function strengthOf(db: Db, resinId: number): ResinStrength {
  const found = queries.findResin(db, resinId);
  if (found === undefined) return {};
  const evidence = evidenceOf(resinFile(found));
  const valueOf = (known: Known | undefined, cautious = false) =>
    known && {
      value: cautious && Number.isFinite(known.low) ? known.low : known.value,
      source: known.quote.source,
    };
  return {
    modulusMPa: valueOf(modulusOf(evidence)),
    strengthMPa: valueOf(strengthOfResin(evidence)),
    breakStrain: valueOf(evidence.of('elongation'), true),
  };
}
