import { z } from 'zod';
import type { ExposureChangeAsk } from '@/core/exposure';
import { ok, type Result } from '@/core/kit';
import { type JsonIssue, readJsonText } from '@/subjects/kit/shared';

const number = z.number();

const exposureChangeShape = z.object({
  t0_s: number,
  prior: z.object({ mean: number, sd: number }),
  observations: z.array(z.object({ t_s: number, edge_mm: number, sd_mm: number })).max(10_000),
});

/** Reads TRIM.json; whether its numbers can be is the core's to say. */
export function parseExposureChangeJson(text: string): Result<ExposureChangeAsk, JsonIssue> {
  const read = readJsonText(exposureChangeShape, text);
  if (!read.ok) return read;
  const { t0_s, prior, observations } = read.value;
  return ok({
    exposureS: t0_s,
    prior,
    observations: observations.map(({ t_s, edge_mm, sd_mm }) => ({
      exposureS: t_s,
      edgeMm: edge_mm,
      sdMm: sd_mm,
    })),
  });
}
