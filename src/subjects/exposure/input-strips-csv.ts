import type { Strip } from '@/core/exposure';
import { ok, type Result } from '@/core/kit';
import {
  type CellIssue,
  type CsvIssue,
  parseTable,
  readNeededNumber,
  readNumber,
} from '@/subjects/kit/shared';

const COLUMNS = ['exposure', 'depth_mm'];

/** Reads STRIPS.csv, one strip a row, in any order; whether its numbers can be is the core's to say. */
export function parseStripsCsv(text: string): Result<Strip[], CsvIssue | CellIssue> {
  const table = parseTable(text, COLUMNS);
  if (!table.ok) return table;
  const strips: Strip[] = [];
  for (const row of table.value) {
    const exposure = readNeededNumber(row, 'exposure');
    if (!exposure.ok) return exposure;
    const depth = readNeededNumber(row, 'depth_mm');
    if (!depth.ok) return depth;
    const u = readNumber(row, 'u_mm');
    if (!u.ok) return u;
    strips.push({ exposure: exposure.value, depthMm: depth.value, uMm: u.value });
  }
  return ok(strips);
}
