import { quoteOf } from '@/core/resins';
import { createHash } from 'node:crypto';
import { desc, eq } from 'drizzle-orm';
import { correctReading, estimateSize, type PartState } from '@/core/metrology';
import {
  estimateSignature,
  FIT_WORDS,
  lawPrior,
  learnMeanings,
  reportSignature,
  type Instruments,
  type Signature,
  type SignatureReading,
  type SignatureReport,
  type FitWord,
  type Try,
  type WordMeaning,
  type WordOnSize,
} from '@/core/signature';
import { queries, tables, type Db } from '@/db';
import { ASSUMED_MATE_U_MM, featureKey, instrumentOf, isAtPlate, kindOf, printKey } from './kinds';

/** A signature with what it was learned from. */
export interface LearnedSignature {
  readonly profileId: number;
  readonly state: PartState;
  readonly signature: Signature;
  readonly report: SignatureReport;
  readonly readingCount: number;
  /** Readings kept but not learned from: warm, too near the plate, or another state. */
  readonly leftOut: { readonly warm: number; readonly low: number; readonly otherState: number };
  readonly instruments: Instruments;
}

export function correctedMm(reading: queries.StandingReading): number {
  const { session, instrument, feature } = reading;
  return correctReading(reading.readingMm, kindOf(feature), instrumentOf(instrument), {
    zeroMm: session.zeroMm,
    partC: session.partC ?? undefined,
    instrumentC: session.instrumentC ?? undefined,
  });
}

/** The state in which most readings were taken; cured when there are none. */
function mainState(readings: readonly queries.StandingReading[]): PartState {
  const counts = new Map<PartState, number>();
  for (const { session } of readings) counts.set(session.state, (counts.get(session.state) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'cured';
}

function toSignatureReading(reading: queries.StandingReading): SignatureReading {
  return {
    ...kindOf(reading.feature),
    feature: featureKey(reading.feature.id),
    print: printKey(reading.printId),
    drawnMm: reading.drawnMm,
    readingMm: correctedMm(reading),
    shownMm: reading.readingMm,
    instrument: reading.instrument.name,
    source: reading.id,
  };
}

/** The clearance on the mate that a feature's limits come to, lower and upper, mm. */
function limitsAsClearance(
  { sense, targetMm, lowerMm, upperMm }: queries.Feature,
  mateMm: number,
): readonly [number, number] {
  const [low, high] = [targetMm + lowerMm - mateMm, targetMm + upperMm - mateMm];
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
  return words.map(({ row: { attempt, feature }, mateMm, mateU_mm }) => {
    const readings = all.filter(
      (reading) =>
        reading.printId === attempt.printId &&
        reading.feature.id === feature.id &&
        reading.session.state === attempt.state &&
        !isAtPlate(reading),
    );
    const last = readings.at(-1);
    if (last === undefined) return undefined;
    const size = estimateSize(readings.map(correctedMm), { instrument: instrumentOf(last.instrument) });
    return {
      word: attempt.word,
      clearanceMm: feature.sense === 'inside' ? size.sizeMm - mateMm : mateMm - size.sizeMm,
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
function standingTries(db: Db, profileId: number, state: PartState): Try[] {
  const words = standingWords(db);
  const meetings = meetingsOf(db, words);
  return words.flatMap((word, i) => {
    const { row, mateMm, mateU_mm } = word;
    if (row.profileId !== profileId || row.attempt.state !== state) return [];
    const others = meetings.filter((meeting, j): meeting is WordOnSize => meeting !== undefined && i !== j);
    return {
      ...kindOf(row.feature),
      feature: featureKey(row.feature.id),
      print: printKey(row.attempt.printId),
      drawnMm: row.drawnMm,
      word: row.attempt.word,
      mateMm,
      mateU_mm,
      wishedMm: limitsAsClearance(row.feature, mateMm),
      shiftMm: learnMeanings(others)[row.attempt.word].shiftMm,
    };
  });
}

/** What an estimate costs to make: the same evidence gives the same one. */
type Estimate = Pick<LearnedSignature, 'signature' | 'report'>;

const kept = globalThis as typeof globalThis & { mellowEstimates?: WeakMap<Db, Map<string, Estimate>> };
const MOST_KEPT = 16;

/** Remembers a bench's last few estimates by what they were learned from. */
function remember(db: Db, hash: string, estimate: () => Estimate): Estimate {
  kept.mellowEstimates ??= new WeakMap();
  const own = kept.mellowEstimates.get(db) ?? new Map<string, Estimate>();
  kept.mellowEstimates.set(db, own);
  const known = own.get(hash);
  if (known !== undefined) return known;
  const made = estimate();
  own.set(hash, made);
  if (own.size > MOST_KEPT) own.delete(own.keys().next().value!);
  return made;
}

function keepSignature(
  db: Db,
  profileId: number,
  hash: string,
  report: SignatureReport,
  readingIds: number[],
): void {
  db.insert(tables.signatures)
    .values({ profileId, learnedFromHash: hash, readingIds, report, createdAt: new Date() })
    .onConflictDoNothing()
    .run();
}

/**
 * The signature of a profile from every standing reading and word in its main state; each new set of evidence is
 * estimated once and kept. Warm readings and those under 1 mm height are left out and counted.
 */
export function learnSignature(db: Db, profileId: number): LearnedSignature {
  const all = queries.listStandingReadings(db, queries.ofProfile(profileId));
  const state = mainState(all);
  const inState = all.filter(({ session }) => session.state === state);
  const cool = inState.filter(({ session }) => !session.warm);
  const used = cool.filter((reading) => !isAtPlate(reading));
  const tries = standingTries(db, profileId, state);
  const instruments: Instruments = Object.fromEntries(
    used.map(({ instrument }) => [instrument.name, instrumentOf(instrument)]),
  );
  const resin = queries.findProfile(db, profileId)?.resin;
  const priorOptions = {
    datasheetShrink: resin && quoteOf(resin.sheet, 'linearShrink')?.value,
    jawFlatsUnknown: Object.values(instruments).some(({ jawFlatMm }) => jawFlatMm === 'unknown'),
  };
  const readings = used.map(toSignatureReading);
  const learnedFrom = JSON.stringify([profileId, state, readings, tries, instruments, priorOptions]);
  const hash = createHash('sha256').update(learnedFrom).digest('hex');
  const estimate = remember(db, hash, () => {
    const options = { instruments, prior: lawPrior(priorOptions), tries };
    const signature = estimateSignature(readings, options);
    const report = reportSignature(signature, [], options, (i) => {
      const observation = signature.observations[i];
      const values = observation.readings.map((reading) => reading.readingMm);
      return estimateSize(values, { instrument: instruments[observation.instrument] }).u_mm;
    });
    if (readings.length > 0)
      keepSignature(
        db,
        profileId,
        hash,
        report,
        used.map(({ id }) => id),
      );
    return { signature, report };
  });
  return {
    ...estimate,
    profileId,
    state,
    readingCount: readings.length,
    leftOut: {
      warm: inState.length - cool.length,
      low: cool.length - used.length,
      otherState: all.length - inState.length,
    },
    instruments,
  };
}

/** Signatures kept for a profile, newest first. */
export function listKeptSignatures(db: Db, profileId: number) {
  const { signatures } = tables;
  return db
    .select()
    .from(signatures)
    .where(eq(signatures.profileId, profileId))
    .orderBy(desc(signatures.id))
    .all();
}
