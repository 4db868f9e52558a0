import { estimateSize, type PartState, pooledScatter } from '@/core/metrology';
import { quoteOf } from '@/core/resins';
import {
  estimateSignature,
  type Instruments,
  lawPrior,
  reportSignature,
  type Signature,
  type SignatureReading,
  type SignatureReport,
} from '@/core/signature';
import {
  correctedMm,
  type Db,
  instrumentOf,
  isAtPlate,
  kindOf,
  printedKey,
  printKey,
  queries,
  unknownWarmth,
} from '@/store';
import { standingTries } from './tries-as-evidence';

/** A signature with what it was learned from. */
export interface LearnedSignature {
  readonly profileId: number;
  readonly state: PartState;
  readonly signature: Signature;
  readonly report: SignatureReport;
  /** Readings it was learned from, oldest first. */
  readonly readingIds: readonly number[];
  readonly readingCount: number;
  /** Readings kept but not learned from: warm, too near the plate, or another state. */
  readonly leftOut: { readonly warm: number; readonly low: number; readonly otherState: number };
  readonly instruments: Instruments;
}

/** The state in which most readings were taken; cured when there are none. */
function mainState(readings: readonly queries.StandingReading[]): PartState {
  const counts = new Map<PartState, number>();
  for (const { session } of readings) counts.set(session.state, (counts.get(session.state) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'cured';
}

function toSignatureReading(reading: queries.StandingReading): SignatureReading {
  return {
    ...kindOf(reading.printed),
    feature: printedKey(reading),
    print: printKey(reading.printId),
    drawnMm: reading.drawnMm,
    readingMm: correctedMm(reading),
    shownMm: reading.readingMm,
    instrument: reading.instrument.name,
    warmth: unknownWarmth(reading),
    source: reading.id,
  };
}

/**
 * The signature of a profile from every standing reading and word in its main state. Warm readings and those under 1 mm
 * height are left out and counted.
 */
function estimate(db: Db, profileId: number): LearnedSignature {
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
  const options = { instruments, prior: lawPrior(priorOptions), tries };
  const signature = estimateSignature(readings, options);
  const pooled = pooledScatter(
    signature.observations.map((each) => each.readings.map(({ readingMm }) => readingMm)),
  );
  const report = reportSignature(signature, [], options, (i) => {
    const observation = signature.observations[i];
    const values = observation.readings.map((reading) => reading.readingMm);
    const options = {
      instrument: instruments[observation.instrument],
      pooled,
      warmthU: observation.warmth?.u ?? 0,
    };
    return estimateSize(values, options).u_mm;
  });
  return {
    profileId,
    state,
    signature,
    report,
    readingIds: used.map(({ id }) => id),
    readingCount: readings.length,
    leftOut: {
      warm: inState.length - cool.length,
      low: cool.length - used.length,
      otherState: all.length - inState.length,
    },
    instruments,
  };
}

const kept = globalThis as typeof globalThis & { mellowSignatures?: Map<string, LearnedSignature> };

/**
 * Signatures that were made, by the key of their evidence: a key never comes again with other evidence. One for the
 * process: pages and route handlers are bundled apart, each with its own copy of this module.
 */
const made = (kept.mellowSignatures ??= new Map());

/** Signatures that are kept in memory; the least lately asked for goes first. */
const MOST_IN_MEMORY = 32;

/** The newest signature of a profile, made once for each change of its evidence. */
export function newestSignature(db: Db, profileId: number): LearnedSignature {
  const key = queries.findProfile(db, profileId)?.profile.evidenceKey;
  if (key === undefined) throw new RangeError(`newestSignature: there is no profile ${profileId}`);
  const known = made.get(key);
  const learned = known ?? estimate(db, profileId);
  made.delete(key);
  made.set(key, learned);
  if (made.size > MOST_IN_MEMORY) made.delete(made.keys().next().value!);
  return learned;
}
