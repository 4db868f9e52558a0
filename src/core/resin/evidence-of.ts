import { deflectionAt, type HeatPoint } from './deflection';
import { provenHeat, provenQuote, type ResinTest, type ProvenHeat } from './resin-test';
import type { PropertyId } from './properties';
import { HIGH_TEST_MPA, LOW_TEST_MPA, quotesThatCount, type Quote, type ResinSheet } from './sheet';
import { viscosityAt, type ViscosityBounds } from './viscosity';

/** A resin as the choice sees it: its datasheet, and the tests of the workshop. */
export interface ResinFile {
  readonly name: string;
  readonly sheet: ResinSheet;
  readonly proofs: readonly ResinTest[];
}

/** Ends between which a value lies as far as anybody knows. */
export interface Interval {
  readonly low: number;
  readonly high: number;
}

/** A value the choice goes by. */
export interface Known extends Interval {
  readonly value: number;
  readonly quote: Quote;
}

/** Returns what is known of a resin, tested values before datasheet values. */
export interface Evidence {
  readonly name: string;
  readonly sheet: ResinSheet;
  readonly provenHeats: readonly ProvenHeat[];
  readonly quotedHeats: readonly (HeatPoint & { readonly quote: Quote })[];
  readonly of: (property: PropertyId) => Known | undefined;
}

/** Ends of a quote; what was tested only as far as it goes is open on the other side. */
function intervalOf({ value, low, high, bound }: Quote): Interval {
  if (bound === 'atLeast') return { low: low ?? value, high: Infinity };
  if (bound === 'atMost') return { low: -Infinity, high: high ?? value };
  return { low: low ?? value, high: high ?? value };
}

function known(quote: Quote): Known {
  const { low, high } = intervalOf(quote);
  return { value: quote.value, low, high, quote };
}

/** Returns the newest of tests of the same property; on one day, the one entered last. */
function newest<Item extends { readonly quote: Quote }>(items: readonly Item[]): Item | undefined {
  return items.reduce<Item | undefined>(
    (best, item) => (best === undefined || (item.quote.on ?? '') >= (best.quote.on ?? '') ? item : best),
    undefined,
  );
}

/**
 * Returns what a tested value leaves of a datasheet value: it replaces it, unless the test only
 * shows a lower limit, and the datasheet states more.
 */
function outrank(quoted: Known | undefined, provenBy: Quote | undefined): Known | undefined {
  if (provenBy === undefined) return quoted;
  const shown = known(provenBy);
  if (quoted === undefined || provenBy.bound === undefined) return shown;
  const agrees = provenBy.bound === 'atLeast' ? quoted.value >= shown.low : quoted.value <= shown.high;
  return agrees ? quoted : shown;
}

const HEATS = [
  ['deflectionLow_C', LOW_TEST_MPA],
  ['deflectionHigh_C', HIGH_TEST_MPA],
] as const;

/** Collects what is known of a resin. */
export function evidenceOf({ name, sheet, proofs }: ResinFile): Evidence {
  const stated = quotesThatCount(sheet);
  const proven = proofs.flatMap((proof) => {
    const quote = provenQuote(proof);
    return quote === undefined ? [] : { quote };
  });
  const quotedHeats = HEATS.flatMap(([property, usualMPa]) => {
    const quote = stated.get(property);
    return quote === undefined ? [] : { stressMPa: quote.testMPa ?? usualMPa, tempC: quote.value, quote };
  });
  return {
    name,
    sheet,
    quotedHeats,
    provenHeats: proofs.flatMap((proof) => provenHeat(proof) ?? []),
    of: (property) => {
      const quote = stated.get(property);
      const own = newest(proven.filter((each) => each.quote.property === property));
      return outrank(quote && known(quote), own?.quote);
    },
  };
}

/** A value of the first property that is known: a bar that was bent tells more of a part than one that was pulled. */
function firstKnown(evidence: Evidence, properties: readonly PropertyId[]): Known | undefined {
  const all = properties.flatMap((property) => evidence.of(property) ?? []);
  return all.find(({ quote }) => quote.source === 'proof') ?? all[0];
}

/** Modulus in bending, or in tension where only that is known. */
export function modulusOf(evidence: Evidence): Known | undefined {
  return firstKnown(evidence, ['flexuralModulus_MPa', 'tensileModulus_MPa']);
}

export function strengthOfResin(evidence: Evidence): Known | undefined {
  return firstKnown(evidence, ['flexuralStrength_MPa', 'tensileStrength_MPa']);
}

/**
 * Returns the temperature at which it yields under a stress: tested at that stress or a higher one before datasheet
 * values; a test that ended before the bar yielded does not contradict a higher datasheet value.
 */
export function heatAt(evidence: Evidence, stressMPa: number): Known | undefined {
  const tempC = deflectionAt(evidence.quotedHeats, stressMPa);
  const source = evidence.quotedHeats.find((point) => point.stressMPa >= stressMPa - 1e-9)?.quote;
  const quoted =
    tempC === undefined || source === undefined
      ? undefined
      : { value: tempC, low: tempC, high: tempC, quote: source };
  const covering = evidence.provenHeats.filter((heat) => heat.stressMPa >= stressMPa - 1e-9);
  const least = Math.min(...covering.map((heat) => heat.stressMPa));
  const nearest = newest(covering.filter((heat) => heat.stressMPa <= least * 1.05));
  return outrank(quoted, nearest?.quote);
}

/** Viscosity at a temperature; undefined when nobody states any. */
export function viscosityOf({ sheet }: Evidence, tempC: number): ViscosityBounds | undefined {
  const points = sheet.quotes.flatMap(({ property, value, atC }) =>
    property === 'viscosity_mPas' && atC !== undefined ? { mPas: value, atC } : [],
  );
  return viscosityAt(points, tempC);
}
