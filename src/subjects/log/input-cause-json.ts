import { z } from 'zod';
import type { CauseAsk, PlacesOfPrint, TestTable } from '@/core/log';
import { ok, type Result } from '@/core/kit';
import { type JsonIssue, readJsonText } from '@/subjects/kit/shared';

const chances = z.record(z.string(), z.number());

const placesShape = z.object({
  prints: z
    .array(
      z.object({
        places: z.array(z.array(z.number()).min(2).max(3)).max(2000),
        failed: z.array(z.int()).max(2000),
      }),
    )
    .max(500),
});

const causeShape = z.object({
  prior: chances,
  table: z.record(z.string(), chances),
  evidence: z.record(z.string(), z.boolean()),
  tests: z.record(z.string(), z.record(z.string(), chances)).default({}),
});

/** Reads PLACES.json; whether its places can be is the core's to say. */
export function parsePlacesJson(text: string): Result<PlacesOfPrint[], JsonIssue> {
  const read = readJsonText(placesShape, text);
  return read.ok ? ok(read.value.prints) : read;
}

/** Reads CAUSE.json. */
export function parseCauseJson(
  text: string,
): Result<CauseAsk & { readonly tests: Readonly<Record<string, TestTable>> }, JsonIssue> {
  return readJsonText(causeShape, text);
}
