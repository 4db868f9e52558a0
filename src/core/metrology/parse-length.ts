import { fail, ok, type Result } from '@/core/result';

export type LengthNote = 'commaDecimal' | 'inches' | 'centimetres' | 'micrometres';

interface ParsedLength {
  readonly valueMm: number;
  /** What was understood beyond plain millimetres. */
  readonly notes: readonly LengthNote[];
}

export type LengthIssue =
  | { readonly code: 'blank' }
  | { readonly code: 'notANumber'; readonly text: string }
  | { readonly code: 'ambiguousSeparators'; readonly text: string }
  | { readonly code: 'unknownUnit'; readonly unit: string }
  | { readonly code: 'notFinite'; readonly text: string };

const UNITS: Readonly<Record<string, { readonly mm: number; readonly note?: LengthNote }>> = {
  '': { mm: 1 },
  mm: { mm: 1 },
  cm: { mm: 10, note: 'centimetres' },
  in: { mm: 25.4, note: 'inches' },
  inch: { mm: 25.4, note: 'inches' },
  '"': { mm: 25.4, note: 'inches' },
  '″': { mm: 25.4, note: 'inches' },
  um: { mm: 0.001, note: 'micrometres' },
  µm: { mm: 0.001, note: 'micrometres' },
  μm: { mm: 0.001, note: 'micrometres' },
};

/**
 * The one reader of lengths typed by a person or an instrument: `12,34`, `+12.34 mm`, `0.482 in`, ` .5 `.
 * Gives millimetres and what was understood; refuses blanks, words, two separators and units it does not know.
 * Example: parseLength('12,34') → ok { valueMm: 12.34, notes: ['commaDecimal'] }
 */
export function parseLength(text: string): Result<ParsedLength, LengthIssue> {
  const trimmed = text
    .replace(/[\s\u00a0\u202f]+/g, ' ')
    .trim()
    .replace('−', '-');
  if (trimmed === '') return fail({ code: 'blank' });
  const match = /^([+-]?)\s*([\d.,]*\d[\d.,]*)(?:e([+-]?\d{1,3}))?\s*([^\d\s.,+-]*)$/i.exec(trimmed);
  if (match === null) return fail({ code: 'notANumber', text: trimmed });
  const [, sign, digits, exponent, unitText] = match;
  if (digits.replace(/[^.,]/g, '').length > 1) return fail({ code: 'ambiguousSeparators', text: trimmed });
  const unit = UNITS[unitText.toLowerCase()];
  if (unit === undefined) return fail({ code: 'unknownUnit', unit: unitText });
  const value = Number(`${sign}${digits.replace(',', '.')}${exponent === undefined ? '' : `e${exponent}`}`);
  if (!Number.isFinite(value)) return fail({ code: 'notFinite', text: trimmed });
  const notes: LengthNote[] = digits.includes(',') ? ['commaDecimal'] : [];
  if (unit.note !== undefined) notes.push(unit.note);
  // Twelve significant digits: 0.5 in is 12.7, not 12.699999….
  return ok({ valueMm: Number((value * unit.mm).toPrecision(12)), notes });
}
