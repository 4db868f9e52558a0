import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expectOk } from '@/core/result';
import type { SignatureReading, Target } from '@/core/signature';
import { parseTargetsCsv } from '@/subjects/job/shared';
import { parseReadingsCsv } from '@/subjects/measure/shared';

/** A file of the independently computed figures. */
export function readReference(name: string): string {
  return readFileSync(path.join(process.cwd(), 'reference', name), 'utf8');
}

export function readReferenceJson<Shape>(name: string): Shape {
  return JSON.parse(readReference(name)) as Shape;
}

export interface ExpectedSignature {
  readonly pooled_s_mm: number;
  readonly parameters: readonly { readonly name: string; readonly mean: number; readonly sd: number }[];
  readonly scatter: { readonly feature_mm: number; readonly print_mm: number };
  readonly targets: readonly {
    readonly feature: string;
    readonly draw_mm: number;
    readonly predicted_mm: number;
    readonly sd_mm: number;
    readonly inTolerance: number;
  }[];
}

/** One of the two reference signatures: readings, targets and what is expected of them. */
export function loadSignatureCase(number: 11 | 12) {
  const readings = expectOk(parseReadingsCsv(readReference(`signature-${number}.readings.csv`))).map(
    ({ kind, feature, print, drawnMm, readingMm, line }): SignatureReading => ({
      ...kind,
      feature,
      print,
      drawnMm,
      readingMm,
      source: line,
    }),
  );
  const targets: Target[] = expectOk(parseTargetsCsv(readReference(`signature-${number}.targets.csv`)));
  const expected = readReferenceJson<ExpectedSignature>(`signature-${number}.expected.json`);
  const options = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };
  return { readings, targets, expected, options };
}
