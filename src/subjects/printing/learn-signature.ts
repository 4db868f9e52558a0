import { createHash } from 'node:crypto';
import { estimateSize, type PartState } from '@/core/metrology';
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
  featureKey,
  instrumentOf,
  isAtPlate,
  kindOf,
  printKey,
  queries,
  tables,
} from '@/store';
import { standingTries } from './tries-as-evidence';

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
