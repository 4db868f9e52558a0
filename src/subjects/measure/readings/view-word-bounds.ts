import { type FitWord, sideOfWord } from '@/core/signature';
import { type Db, queries } from '@/store';
import type { JobView } from '@/subjects/job/jobs';

/** A drawn size of which the hand said a word. */
interface SaidAt {
  readonly drawnMm: number;
  readonly word: FitWord;
}

/**
 * Returns what hand fits say about a feature's drawn size: the nearest that was too tight, and the nearest that was too
 * loose.
 */
export interface WordBounds {
  readonly tight?: SaidAt;
  readonly loose?: SaidAt;
}

/** Bounds by feature id, from the last word of each feature in each print of the job, broken prints too. */
export function boundsByWords(db: Db, view: JobView): Map<number, WordBounds> {
  const rows = queries.listTries(db, queries.ofJob(view.job.id));
  const last = new Map(rows.map((row) => [`${row.attempt.featureId}/${row.attempt.printId}`, row]));
  const bounds = new Map<number, WordBounds>();
  for (const { feature, drawnMm, attempt } of last.values()) {
    const mate = view.mates.find(({ id }) => id === feature.mateId);
    const side = sideOfWord(attempt.word, mate?.sizeMm ?? feature.targetMm);
    if (side === 'right') continue;
    const before = bounds.get(feature.id) ?? {};
    const known = before[side]?.drawnMm;
    // A hole that was too tight bounds from below, a shaft from above; the nearest bound is the one kept.
    const nearer = (feature.sense === 'inside') === (side === 'tight') ? Math.max : Math.min;
    if (known !== undefined && nearer(known, drawnMm) === known) continue;
    bounds.set(feature.id, { ...before, [side]: { drawnMm, word: attempt.word } });
  }
  return bounds;
}
