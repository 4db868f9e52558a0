import { ok, type Result } from '@/core/kit';
import { parseQuantity, type QuantityIssue } from './quantity';

export type LengthNote = 'commaDecimal' | 'inches' | 'centimetres' | 'micrometres';

interface ParsedLength {
  readonly valueMm: number;
  /** What was understood beyond plain millimetres. */
  readonly notes: readonly LengthNote[];
}

const NOTE_OF_UNIT: Readonly<Record<string, LengthNote>> = {
  in: 'inches',
  cm: 'centimetres',
  µm: 'micrometres',
};

/**
 * A length in millimetres, with what was understood beyond plain ones.
 * Example: parseLength('12,34') → ok { valueMm: 12.34, notes: ['commaDecimal'] }
 */
export function parseLength(text: string): Result<ParsedLength, QuantityIssue> {
  const parsed = parseQuantity(text, 'length');
  if (!parsed.ok) return parsed;
  const { value, notes, unit } = parsed.value;
  return ok({
    valueMm: value,
    notes: [
      ...(notes.includes('commaDecimal') ? (['commaDecimal'] as const) : []),
      ...(unit === undefined ? [] : [NOTE_OF_UNIT[unit]]),
    ],
  });
}
