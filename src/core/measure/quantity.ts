import { fail, ok, type Result } from '@/core/kit';
import { LARGEST_NUMBER } from './bounds';

/** What a typed number may be; each has units of its own and one that a bare number means. */
export type Quantity =
  | 'length'
  | 'area'
  | 'volume'
  | 'mass'
  | 'force'
  | 'stress'
  | 'temperature'
  | 'temperatureDifference'
  | 'time'
  | 'speed'
  | 'angle'
  | 'percent'
  | 'number';

type QuantityNote = 'commaDecimal' | 'converted';

interface ParsedQuantity {
  /** In the unit that stands first among those of its quantity. */
  readonly value: number;
  /** What was understood beyond a plain number in that unit. */
  readonly notes: readonly QuantityNote[];
  /** The unit it was typed in, where that was another one. */
  readonly unit?: string;
}

export type QuantityIssue =
  | { readonly code: 'blank' }
  | { readonly code: 'notANumber'; readonly text: string }
  | { readonly code: 'ambiguousSeparators'; readonly text: string }
  | {
      readonly code: 'unknownUnit';
      readonly unit: string;
      readonly quantity: Quantity;
      readonly known: readonly string[];
    }
  | { readonly code: 'tooLarge'; readonly text: string };

interface Unit {
  readonly name: string;
  readonly also?: readonly string[];
  /** The base unit of the quantity is times · value + plus. */
  readonly times: number;
  readonly plus?: number;
}

const INCH_MM = 25.4;
const POUND_G = 453.592_37;
const GRAVITY = 9.806_65;

/** The first unit of each is the one that a bare number means. Exact factors: NIST SP 811, appendix B. */
const UNITS: Readonly<Record<Quantity, readonly Unit[]>> = {
  length: [
    { name: 'mm', times: 1 },
    { name: 'cm', times: 10 },
    { name: 'in', also: ['inch', '"', '″'], times: INCH_MM },
    { name: 'µm', also: ['um', 'μm'], times: 0.001 },
  ],
  area: [
    { name: 'mm²', also: ['mm2'], times: 1 },
    { name: 'cm²', also: ['cm2'], times: 100 },
  ],
  volume: [
    { name: 'ml', also: ['cm³', 'cm3', 'cc'], times: 1 },
    { name: 'l', times: 1000 },
  ],
  mass: [
    { name: 'g', times: 1 },
    { name: 'kg', times: 1000 },
    { name: 'oz', times: POUND_G / 16 },
    { name: 'lb', times: POUND_G },
  ],
  force: [
    { name: 'N', times: 1 },
    { name: 'kN', times: 1000 },
    { name: 'kgf', times: GRAVITY },
    { name: 'lbf', times: (GRAVITY * POUND_G) / 1000 },
  ],
  stress: [
    { name: 'MPa', also: ['N/mm²', 'N/mm2'], times: 1 },
    { name: 'GPa', times: 1000 },
    { name: 'kPa', times: 0.001 },
    { name: 'psi', times: (GRAVITY * POUND_G) / 1000 / INCH_MM ** 2 },
  ],
  temperature: [
    { name: '°C', also: ['c'], times: 1 },
    { name: '°F', also: ['f'], times: 5 / 9, plus: -160 / 9 },
  ],
  temperatureDifference: [
    { name: 'K', also: ['°c', 'c'], times: 1 },
    { name: '°F', also: ['f'], times: 5 / 9 },
  ],
  time: [
    { name: 's', also: ['sec'], times: 1 },
    { name: 'min', times: 60 },
    { name: 'h', times: 3600 },
  ],
  speed: [
    { name: 'mm/s', times: 1 },
    { name: 'mm/min', times: 1 / 60 },
  ],
  angle: [{ name: '°', also: ['deg'], times: 1 }],
  percent: [{ name: '%', times: 1 }],
  number: [],
};

/** The unit that a bare number of this quantity is in; empty for a plain number. */
export function unitOf(quantity: Quantity): string {
  return UNITS[quantity][0]?.name ?? '';
}

/**
 * The one reader of numbers typed by a person or an instrument: `12,34`, `+12.34 mm`, `0.482 in`, ` .5 `, `98 °F`.
 * Gives the value in the quantity's own unit; refuses blanks, words, two separators, units of another
 * quantity and what is beyond 10⁹.
 * Example: parseQuantity('2 oz', 'mass') → ok { value: 56.6990462500, notes: ['converted'], unit: 'oz' }
 */
export function parseQuantity(text: string, quantity: Quantity): Result<ParsedQuantity, QuantityIssue> {
  const trimmed = text
    .replace(/[\s\u00a0\u202f]+/g, ' ')
    .trim()
    .replace('−', '-');
  if (trimmed === '') return fail({ code: 'blank' });
  const match = /^([+-]?)\s*([\d.,]*\d[\d.,]*)(?:e([+-]?\d{1,3}))?\s*([^\d\s.,+-][^\s]*)?$/i.exec(trimmed);
  if (match === null) return fail({ code: 'notANumber', text: trimmed });
  const [, sign, digits, exponent, unitText = ''] = match;
  if (digits.replace(/[^.,]/g, '').length > 1) return fail({ code: 'ambiguousSeparators', text: trimmed });
  const units = UNITS[quantity];
  const isCalled = (typed: string) => (unit: Unit) =>
    [unit.name, ...(unit.also ?? [])].some((name) => name.toLowerCase() === typed);
  const unit = unitText === '' ? units[0] : units.find(isCalled(unitText.toLowerCase()));
  if (unit === undefined && unitText !== '')
    return fail({ code: 'unknownUnit', unit: unitText, quantity, known: units.map(({ name }) => name) });
  const number = Number(`${sign}${digits.replace(',', '.')}${exponent === undefined ? '' : `e${exponent}`}`);
  const { times = 1, plus = 0 } = unit ?? {};
  if (!(Math.abs(number * times + plus) <= LARGEST_NUMBER)) return fail({ code: 'tooLarge', text: trimmed });
  const converted = unit !== undefined && unit !== units[0];
  return ok({
    // What was converted is kept to twelve significant digits: 0.5 in is 12.7, not 12.699999….
    value: converted ? Number((number * times + plus).toPrecision(12)) : number,
    notes: [
      ...(digits.includes(',') ? (['commaDecimal'] as const) : []),
      ...(converted ? (['converted'] as const) : []),
    ],
    unit: converted ? unit.name : undefined,
  });
}

/** The number alone, in the quantity's own unit; undefined while the text is none. */
export function valueIn(text: string, quantity: Quantity = 'length'): number | undefined {
  const parsed = parseQuantity(text, quantity);
  return parsed.ok ? parsed.value.value : undefined;
}
