import { groupBy } from '@/core/kit';
import { estimateSize, type PartState } from '@/core/measure';
import {
  FIT_WORDS,
  type FitWord,
  learnMeanings,
  meaningsWithout,
  type Try,
  type WordMeaning,
  type WordOnSize,
} from '@/core/signature';
import {
  ASSUMED_MATE_U_MM,
  correctedMm,
  type Db,
  instrumentOf,
  isAtPlate,
  kindOf,
  placeOnPlate,
  printedKey,
  printKey,
  runKey,
  queries,
  warmthUOf,
} from '@/store';

/** The clearance with the mate at a feature's limits, lower and upper, mm. */
function limitsAsClearance(
  { sense, targetMm, lowerDeviationMm, upperDeviationMm }: queries.Feature,
  mateMm: number,
): readonly [number, number] {
  const [low, high] = [targetMm + lowerDeviationMm - mateMm, targetMm + upperDeviationMm - mateMm];
  return sense === 'inside' ? [low, high] : [-high, -low];
}

type TriedRow = ReturnType<typeof queries.listTries>[number];

/** A word that counts: the last one of its feature in its print and state, on a mate whose size is known. */
interface StandingWord {
  readonly row: TriedRow;
  readonly mateMm: number;
  readonly mateU_mm: number;
}

/** Words as they stand: of each feature in each print and state the last one, the newest first. */
function standing(db: Db, rows: readonly TriedRow[]): StandingWord[] {
  const mates = new Map(
    queries.listMatesById(db, [...new Set(rows.flatMap(({ feature }) => feature.mateId ?? []))]),
  );
  const seen = new Set<string>();
  return rows.flatMap((row) => {
    const { attempt, feature } = row;
    const key = `${attempt.featureId}/${attempt.printId}/${attempt.state}`;
    if (attempt.warm || seen.has(key)) return [];
    seen.add(key);
    const mate = feature.mateId === null ? undefined : mates.get(feature.mateId);
    if (mate === undefined || mate.sizeMm === null || !FIT_WORDS.includes(attempt.word)) return [];
    return { row, mateMm: mate.sizeMm, mateU_mm: mate.uMm ?? ASSUMED_MATE_U_MM };
  });
}

/** What a word means here is learned from so many of the newest: enough to know it, and the same cost in every year. */
const NEWEST_WORDS = 120;

/** A word that a caliper checked, by the id of the word. */
type Meetings = ReadonlyMap<number, WordOnSize>;

/** Where the caliper read what the hand had tried: the clearance behind each word. */
function meetingsOf(db: Db, words: readonly StandingWord[]): Meetings {
  const printIds = [...new Set(words.map(({ row }) => row.attempt.printId))];
  const featureIds = [...new Set(words.map(({ row }) => row.feature.id))];
  const all =
    words.length === 0 ? [] : queries.listLeanReadings(db, queries.ofFeaturesIn(featureIds, printIds));
  const keyOf = (printId: number, featureId: number, state: PartState) => `${printId}/${featureId}/${state}`;
  const readingsOf = groupBy(
    all.filter((reading) => !isAtPlate(reading)),
    ({ printId, feature, session }) => keyOf(printId, feature.id, session.state),
  );
  const met = new Map<number, WordOnSize>();
  for (const { row, mateMm, mateU_mm } of words) {
    const { attempt, feature, printed } = row;
    const readings = readingsOf.get(keyOf(attempt.printId, feature.id, attempt.state));
    const last = readings?.at(-1);
    if (readings === undefined || last === undefined) continue;
    const size = estimateSize(readings.map(correctedMm), {
      instrument: instrumentOf(last.instrument),
      warmthU: warmthUOf(readings),
    });
    met.set(attempt.id, {
      word: attempt.word,
      clearanceMm: printed.sense === 'inside' ? size.sizeMm - mateMm : mateMm - size.sizeMm,
      u_mm: Math.hypot(size.u_mm, mateU_mm),
      mateMm,
      wishedMm: limitsAsClearance(feature, mateMm),
    });
  }
  return met;
}

/** The newest words of the whole bench that a caliper checked. */
function newestMeetings(db: Db): Meetings {
  return meetingsOf(db, standing(db, queries.listNewestTries(db, NEWEST_WORDS)));
}

/** What the words mean in this shop, from the newest that a caliper checked. */
export function learnShopMeanings(db: Db): Readonly<Record<FitWord, WordMeaning>> {
  return learnMeanings([...newestMeetings(db).values()]);
}

/** Meanings are used to the micrometre: what lies below would only have everything computed again. */
function toMicrometre(mm: number): number {
  return Math.round(mm * 1000) / 1000;
}

/**
 * Returns the hand fits of a profile's prints as evidence, each with the workshop's own meaning. The meaning is learned
 * from the other hand fits: one that the caliper checked must not count its own reading twice.
 */
export function standingTries(db: Db, profileId: number): Try[] {
  const meetings = newestMeetings(db);
  const all = learnMeanings([...meetings.values()]);
  const beside = new Map(
    [...groupBy([...meetings], ([, { word }]) => word).values()].flatMap((same) => {
      const without = meaningsWithout(same.map(([, meeting]) => meeting));
      return same.map(([id], i) => [id, without[i]] as const);
    }),
  );
  const own = standing(db, queries.listTries(db, queries.ofProfile(profileId)).reverse()).reverse();
  return own.flatMap(({ row, mateMm, mateU_mm }) => {
    const { state, word, id } = row.attempt;
    const coatMm = state === 'coated' ? row.feature.coatMm : undefined;
    if (coatMm === 0) return [];
    return {
      ...kindOf(row.printed),
      feature: printedKey(row),
      print: printKey(row.attempt.printId),
      run: runKey(row.of),
      drawnMm: row.drawnMm,
      place: placeOnPlate(row.place, row.printed),
      state,
      coatMm,
      word,
      mateMm,
      mateU_mm,
      wishedMm: limitsAsClearance(row.feature, mateMm),
      shiftMm: toMicrometre((beside.get(id) ?? all[word]).shiftMm),
    };
  });
}
