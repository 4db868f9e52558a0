import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expectOk } from '@/core/kit';
import type { CheckReading, SignatureOptions, SignatureReading, Target } from '@/core/signature';
import { parseChecksCsv } from '@/subjects/measure/calipers/shared';
import { parseTargetsCsv } from '@/subjects/job/jobs/shared';
import { parseReadingsCsv } from '@/subjects/measure/readings/shared';

/** A file of the independently computed figures. */
export function readReference(name: string): string {
  return readFileSync(path.join(process.cwd(), 'reference', name), 'utf8');
}

export function readReferenceJson<Shape>(name: string): Shape {
  return JSON.parse(readReference(name)) as Shape;
}

interface Moments {
  readonly mean: number;
  readonly sd: number;
}

export interface ExpectedSignature {
  readonly pooled_s_mm: number;
  readonly parameters: readonly (Moments & { readonly name: string })[];
  readonly scatter: { readonly feature_mm: number; readonly print_mm: number };
  readonly targets: readonly {
    readonly feature: string;
    readonly draw_mm: number;
    readonly predicted_mm: number;
    readonly sd_mm: number;
    readonly inTolerance: number;
  }[];
  readonly instrumentBias?: readonly {
    readonly jaw: string;
    readonly mean_mm: number;
    readonly sd_mm: number;
  }[];
  readonly stateShift?: readonly { readonly state: string; readonly xy: Moments; readonly z: Moments }[];
  readonly samePrint?: readonly {
    readonly feature: string;
    readonly print: string;
    readonly state: string;
    readonly predicted_mm: number;
    readonly sd_mm: number;
  }[];
}

/** One of the reference signatures: readings, targets, check pieces and what is expected of them. */
export function loadSignatureCase(number: 11 | 12 | 13 | 14 | 15) {
  const readings = expectOk(parseReadingsCsv(readReference(`signature-${number}.readings.csv`))).map(
    ({ kind, feature, print, drawnMm, readingMm, state, place, line }): SignatureReading => ({
      ...kind,
      feature,
      print,
      drawnMm,
      readingMm,
      state,
      place,
      source: line,
    }),
  );
  const targets: Target[] = expectOk(parseTargetsCsv(readReference(`signature-${number}.targets.csv`)));
  const expected = readReferenceJson<ExpectedSignature>(`signature-${number}.expected.json`);
  const checks: CheckReading[] =
    number === 15 ? expectOk(parseChecksCsv(readReference('signature-15.checks.csv'))) : [];
  const options: SignatureOptions = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } }, checks };
  return { readings, targets, expected, options };
}
