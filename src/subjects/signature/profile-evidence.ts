import { quoteOf } from '@/core/resin';
import {
  type CheckReading,
  type Instruments,
  lawPrior,
  type SignatureOptions,
  type SignatureReading,
} from '@/core/signature';
import {
  correctedMm,
  type Db,
  instrumentOf,
  isAtPlate,
  kindOf,
  printedKey,
  printKey,
  runKey,
  queries,
  unknownWarmth,
} from '@/store';
import { changesAsEvidence } from './changes-as-evidence';
import { type Lender, lendPrior } from './related-profiles';
import { standingTries } from './tries-as-evidence';

/** What the signature of a profile is learned from. */
export interface ProfileEvidence {
  readonly readings: readonly SignatureReading[];
  readonly options: SignatureOptions;
  /** Of those readings, oldest first. */
  readonly readingIds: readonly number[];
  /** Related profiles used in its prior. */
  readonly lenders: readonly Lender[];
  /** Readings kept but not learned from: warm, too near the plate, or of a coat of unknown thickness. */
  readonly leftOut: { readonly warm: number; readonly low: number; readonly coated: number };
}

function toSignatureReading(reading: queries.LeanReading): SignatureReading {
  return {
    ...kindOf(reading.printed),
    feature: printedKey(reading),
    print: printKey(reading.printId),
    run: runKey(reading.of),
    drawnMm: reading.drawnMm,
    place: reading.place,
    readingMm: correctedMm(reading),
    shownMm: reading.readingMm,
    state: reading.session.state,
    coatMm: reading.session.state === 'coated' ? reading.feature.coatMm : undefined,
    instrument: reading.instrument.name,
    warmth: unknownWarmth(reading),
    source: reading.id,
  };
}

/** A coated size tells of the print only where the thickness of its coat is known. */
function hasUnknownCoat({ session, feature }: queries.LeanReading): boolean {
  return session.state === 'coated' && !(feature.coatMm > 0);
}

/** Check pieces read with the calipers of a profile: what a caliper adds is the same in all profiles. */
function checksOf(db: Db, instrumentIds: readonly number[]): CheckReading[] {
  return queries.listChecks(db, instrumentIds).map(({ check, instrument }) => ({
    instrument: instrument.name,
    jaw: check.jaw,
    knownMm: check.knownMm,
    u_mm: check.uMm,
    readingMm: check.readingMm,
  }));
}

/** Standing readings of a profile as its signature takes them, and the newest of all that were looked at. */
interface ReadSoFar {
  readonly key: string;
  readonly lastId: number;
  readonly readings: readonly SignatureReading[];
  readonly instruments: ReadonlyMap<number, queries.LeanReading['instrument']>;
  readonly leftOut: ProfileEvidence['leftOut'];
}

const NOTHING: Omit<ReadSoFar, 'key'> = {
  lastId: 0,
  readings: [],
  instruments: new Map(),
  leftOut: { warm: 0, low: 0, coated: 0 },
};

/** Of each bench and profile: readings never change, so only those that came since are read from the disk. */
const soFar = new WeakMap<Db, Map<number, ReadSoFar>>();

/** Takes further readings in; those that are not learned from are counted. */
function takeIn(
  before: Omit<ReadSoFar, 'key'>,
  more: readonly queries.LeanReading[],
): Omit<ReadSoFar, 'key'> {
  if (more.length === 0) return before;
  const cool = more.filter(({ session }) => !session.warm);
  const high = cool.filter((reading) => !isAtPlate(reading));
  const used = high.filter((reading) => !hasUnknownCoat(reading));
  const { warm, low, coated } = before.leftOut;
  return {
    lastId: more[more.length - 1].id,
    readings: [...before.readings, ...used.map(toSignatureReading)],
    instruments: new Map([
      ...before.instruments,
      ...used.map(({ instrument }) => [instrument.id, instrument] as const),
    ]),
    leftOut: {
      warm: warm + more.length - cool.length,
      low: low + cool.length - high.length,
      coated: coated + high.length - used.length,
    },
  };
}

function readingsOf(db: Db, profileId: number): ReadSoFar {
  const known = soFar.get(db) ?? new Map<number, ReadSoFar>();
  soFar.set(db, known);
  const key = queries.keyOfReadings(db, profileId);
  const last = known.get(profileId);
  const before = last?.key === key ? last : NOTHING;
  const more = queries.listLeanReadings(db, queries.ofProfileAfter(profileId, before.lastId));
  const read = { key, ...takeIn(before, more) };
  known.set(profileId, read);
  return read;
}

/**
 * Every standing reading and word of a profile, all states together. Warm readings, those under 1 mm height and those of
 * a coat of unknown thickness are left out and counted.
 */
export function readProfileEvidence(db: Db, profileId: number): ProfileEvidence {
  const { readings, instruments: known, leftOut } = readingsOf(db, profileId);
  const instruments: Instruments = Object.fromEntries(
    [...known.values()].map((instrument) => [instrument.name, instrumentOf(instrument)]),
  );
  const resin = queries.findProfile(db, profileId)?.resin;
  const ownPrior = lawPrior({
    datasheetShrink: resin && quoteOf(resin.sheet, 'linearShrink')?.value,
    jawFlatsUnknown: Object.values(instruments).some(({ jawFlatMm }) => jawFlatMm === 'unknown'),
  });
  const { prior, lenders } = lendPrior(db, profileId, ownPrior);
  return {
    readings,
    options: {
      instruments,
      prior,
      ownPrior,
      tries: standingTries(db, profileId),
      checks: checksOf(db, [...known.keys()]),
      changes: changesAsEvidence(db, profileId),
    },
    readingIds: readings.map(({ source = 0 }) => source),
    lenders,
    leftOut,
  };
}
