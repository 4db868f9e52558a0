import { JAWS } from '@/core/measure';
import { ok, type Result } from '@/core/kit';
import type { CheckReading } from '@/core/signature';
import {
  type CellIssue,
  type CsvIssue,
  parseTable,
  readNeeded,
  readNeededNumber,
  readSize,
  readText,
} from '@/subjects/kit/shared';

const COLUMNS = ['jaw', 'known_mm', 'u_mm', 'reading_mm'];

/** No piece of known size is known worse than this, mm. */
const U_BOUNDS = { low: 0, high: 1, unit: 'mm' };

/** Reads checks.csv: readings of pieces of known size, one a row; the first bad line is named. */
export function parseChecksCsv(
  text: string,
): Result<(CheckReading & { readonly line: number })[], CsvIssue | CellIssue> {
  const table = parseTable(text, COLUMNS);
  if (!table.ok) return table;
  const checks: (CheckReading & { readonly line: number })[] = [];
  for (const row of table.value) {
    const jaw = readNeeded(row, 'jaw', JAWS);
    if (!jaw.ok) return jaw;
    const known = readSize(row, 'known_mm');
    if (!known.ok) return known;
    const u = readNeededNumber(row, 'u_mm', U_BOUNDS);
    if (!u.ok) return u;
    const reading = readSize(row, 'reading_mm');
    if (!reading.ok) return reading;
    const instrument = readText(row, 'instrument');
    if (!instrument.ok) return instrument;
    checks.push({
      line: row.line,
      jaw: jaw.value,
      knownMm: known.value,
      u_mm: u.value,
      readingMm: reading.value,
      instrument: instrument.value,
    });
  }
  return ok(checks);
}
