import { estimateSize } from '@/core/metrology';
import {
  FIT_WORDS,
  type FitWord,
  learnMeanings,
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
  printedKey,
  printKey,
  queries,
  tables,
  warmthUOf,
} from '@/store';

/** The clearance on the mate that a feature's limits come to, lower and upper, mm. */
function limitsAsClearance(
  { sense, targetMm, lowerDeviationMm, upperDeviationMm }: queries.Feature,
  mateMm: number,
): readonly [number, number] {
  const [low, high] = [targetMm + lowerDeviationMm - mateMm, targetMm + upperDeviationMm - mateMm];
  return sense === 'inside' ? [low, high] : [-high, -low];
}

/** A word that counts: the last one of its feature in its print and state, on a mate whose size is known. */
interface StandingWord {
  readonly row: ReturnType<typeof queries.listTries>[number];
  readonly mateMm: number;
  readonly mateU_mm: number;
}

function standingWords(db: Db): StandingWord[] {
  const mates = new Map(
    db
      .select()
      .from(tables.mates)
      .all()
      .map((mate) => [mate.id, mate]),
  );
  const last = new Map(
    queries
      .listTries(db, undefined)
      .filter(({ attempt }) => !attempt.warm)
      .map((row) => [`${row.attempt.featureId}/${row.attempt.printId}/${row.attempt.state}`, row]),
  );
  return [...last.values()].flatMap((row) => {
    const mate = row.feature.mateId === null ? undefined : mates.get(row.feature.mateId);
    if (mate === undefined || mate.sizeMm === null || !FIT_WORDS.includes(row.attempt.word)) return [];
    return { row, mateMm: mate.sizeMm, mateU_mm: mate.uMm ?? ASSUMED_MATE_U_MM };
  });
}

/** Where the caliper read what the hand had tried: the clearance behind each word, undefined where it did not. */
function meetingsOf(db: Db, words: readonly StandingWord[]): (WordOnSize | undefined)[] {
  const printIds = [...new Set(words.map(({ row }) => row.attempt.printId))];
  const all = printIds.length === 0 ? [] : queries.listStandingReadings(db, queries.ofPrints(printIds));
  return words.map(({ row: { attempt, feature, printed }, mateMm, mateU_mm }) => {
    const readings = all.filter(
      (reading) =>
        reading.printId === attempt.printId &&
        reading.feature.id === feature.id &&
        reading.session.state === attempt.state &&
        !isAtPlate(reading),
    );
    const last = readings.at(-1);
    if (last === undefined) return undefined;
    const size = estimateSize(readings.map(correctedMm), {
      instrument: instrumentOf(last.instrument),
      warmthU: warmthUOf(readings),
    });
    return {
      word: attempt.word,
      clearanceMm: printed.sense === 'inside' ? size.sizeMm - mateMm : mateMm - size.sizeMm,
      u_mm: Math.hypot(size.u_mm, mateU_mm),
      mateMm,
      wishedMm: limitsAsClearance(feature, mateMm),
    };
  });
}

/** What the words mean in this shop, from every word that a caliper checked. */
export function learnShopMeanings(db: Db): Readonly<Record<FitWord, WordMeaning>> {
  return learnMeanings(meetingsOf(db, standingWords(db)).filter((meeting) => meeting !== undefined));
}

/**
 * The words about prints of a profile as evidence, each with the shop's own meaning. That is learned from the other
 * words: one that the caliper checked must not bring its own reading in a second time.
 */
export function standingTries(db: Db, profileId: number): Try[] {
  const words = standingWords(db);
  const meetings = meetingsOf(db, words);
  return words.flatMap((word, i) => {
    const { row, mateMm, mateU_mm } = word;
    const { state } = row.attempt;
    const coatMm = state === 'coated' ? row.feature.coatMm : undefined;
    if (row.profileId !== profileId || coatMm === 0) return [];
    const others = meetings.filter((meeting, j): meeting is WordOnSize => meeting !== undefined && i !== j);
    return {
      ...kindOf(row.printed),
      feature: printedKey(row),
      print: printKey(row.attempt.printId),
      drawnMm: row.drawnMm,
      state,
      coatMm,
      word: row.attempt.word,
      mateMm,
      mateU_mm,
      wishedMm: limitsAsClearance(row.feature, mateMm),
      shiftMm: learnMeanings(others)[row.attempt.word].shiftMm,
    };
  });
}
