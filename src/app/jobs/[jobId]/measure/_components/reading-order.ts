import type { ReadingInput } from '@/subjects/measure/readings/shared';

/** Readings of each feature that a sitting asks for before it moves on. */
export const READINGS_EACH = 3;

/** What the order of reading needs of a feature. */
export interface ReadFeature {
  readonly id: number;
  readonly readings: readonly {
    readonly id: number;
    readonly clientKey: string;
    readonly atPlate?: boolean;
  }[];
}

/** Readings that count towards those that a feature wants: near the plate it flares. */
export function countedReadings<Reading extends { readonly atPlate?: boolean }>(
  readings: readonly Reading[],
): Reading[] {
  return readings.filter(({ atPlate }) => atPlate !== true);
}

/**
 * Readings that are still to be sent, or stored and not yet on the page: the page may arrive before or after the
 * answer.
 */
export function readingsOnTheWay(
  features: readonly ReadFeature[],
  kept: readonly ReadingInput[],
  waiting: readonly ReadingInput[],
): ReadingInput[] {
  const shown = new Set(features.flatMap(({ readings }) => readings.map(({ clientKey }) => clientKey)));
  const entries = new Map([...kept, ...waiting].map((entry) => [entry.clientKey, entry]));
  return [...entries.values()].filter(({ clientKey }) => !shown.has(clientKey));
}

/** Readings of each feature that count, those on their way too. */
export function countReadings(
  features: readonly ReadFeature[],
  onTheWay: readonly ReadingInput[],
): Map<number, number> {
  const counts = new Map(features.map(({ id, readings }) => [id, countedReadings(readings).length]));
  for (const { featureId, heightMm } of onTheWay)
    if (heightMm === undefined) counts.set(featureId, (counts.get(featureId) ?? 0) + 1);
  return counts;
}

/** The feature to read first: the first that has not all its readings, or the first of all. */
export function firstToRead<Feature extends ReadFeature>(
  features: readonly Feature[],
  counts: ReadonlyMap<number, number>,
): Feature {
  return features.find(({ id }) => (counts.get(id) ?? 0) < READINGS_EACH) ?? features[0];
}

/** Where to go on once a feature has so many readings: stay until it has all, then the next that wants some, round the list. */
export function nextToRead(
  features: readonly ReadFeature[],
  counts: ReadonlyMap<number, number>,
  activeId: number,
  countOfActive: number,
): number {
  if (countOfActive < READINGS_EACH) return activeId;
  const at = features.findIndex(({ id }) => id === activeId);
  const round = [...features.slice(at + 1), ...features.slice(0, at)];
  return round.find(({ id }) => (counts.get(id) ?? 0) < READINGS_EACH)?.id ?? activeId;
}

/** The newest reading of a feature that the page shows; 0 for none. */
export function newestSeen(features: readonly ReadFeature[], featureId: number): number {
  const seen = features.find(({ id }) => id === featureId)?.readings ?? [];
  return Math.max(0, ...seen.map(({ id }) => id));
}
