import { quoteOf } from '@/core/resins';
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
  queries,
  unknownWarmth,
} from '@/store';
import { changesAsEvidence } from './changes-as-evidence';
import { type Lender, lendPrior } from './relatives';
import { standingTries } from './tries-as-evidence';

/** What the signature of a profile is learned from. */
export interface ProfileEvidence {
  readonly readings: readonly SignatureReading[];
  readonly options: SignatureOptions;
  /** Of those readings, oldest first. */
  readonly readingIds: readonly number[];
  /** Profiles that lent to its prior. */
  readonly lenders: readonly Lender[];
  /** Readings kept but not learned from: warm, too near the plate, or of a coat of unknown thickness. */
  readonly leftOut: { readonly warm: number; readonly low: number; readonly coated: number };
}

function toSignatureReading(reading: queries.LeanReading): SignatureReading {
  return {
    ...kindOf(reading.printed),
    feature: printedKey(reading),
    print: printKey(reading.printId),
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

/**
 * Every standing reading and word of a profile, all states together. Warm readings, those under 1 mm height and those of
 * a coat of unknown thickness are left out and counted.
 */
export function readProfileEvidence(db: Db, profileId: number): ProfileEvidence {
  const all = queries.listLeanReadings(db, queries.ofProfile(profileId));
  const cool = all.filter(({ session }) => !session.warm);
  const high = cool.filter((reading) => !isAtPlate(reading));
  const used = high.filter((reading) => !hasUnknownCoat(reading));
  const instruments: Instruments = Object.fromEntries(
    used.map(({ instrument }) => [instrument.name, instrumentOf(instrument)]),
  );
  const resin = queries.findProfile(db, profileId)?.resin;
  const ownPrior = lawPrior({
    datasheetShrink: resin && quoteOf(resin.sheet, 'linearShrink')?.value,
    jawFlatsUnknown: Object.values(instruments).some(({ jawFlatMm }) => jawFlatMm === 'unknown'),
  });
  const { prior, lenders } = lendPrior(db, profileId, ownPrior);
  const instrumentIds = [...new Set(used.map(({ instrument }) => instrument.id))];
  return {
    readings: used.map(toSignatureReading),
    options: {
      instruments,
      prior,
      ownPrior,
      tries: standingTries(db, profileId),
      checks: checksOf(db, instrumentIds),
      changes: changesAsEvidence(db, profileId),
    },
    readingIds: used.map(({ id }) => id),
    lenders,
    leftOut: {
      warm: all.length - cool.length,
      low: cool.length - high.length,
      coated: high.length - used.length,
    },
  };
}
