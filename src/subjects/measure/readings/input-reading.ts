import { z } from 'zod';
import { BOUNDS, PART_STATES } from '@/core/measure';
import { FIT_WORDS } from '@/core/signature';

const id = z.number().int().positive();

/** Made by whoever sends: the same key is the same reading. */
const clientKey = z.string().min(8).max(80);

/** A reading as the browser sends it, already in millimetres. */
export const readingInput = z.object({
  clientKey,
  sessionId: id,
  featureId: id,
  printId: id,
  /** The use case, not the schema, tells zero and below from typing errors, with a sentence. */
  readingMm: z.number().min(-BOUNDS.size.high).max(BOUNDS.size.high),
  heightMm: z.number().min(BOUNDS.height.low).max(BOUNDS.height.high).optional(),
  confirmed: z.boolean(),
  seenId: z.number().int().min(0).optional(),
});

export type ReadingInput = z.infer<typeof readingInput>;

/** A hand fit as the browser sends it. */
export const tryInput = z.object({
  clientKey,
  featureId: id,
  printId: id,
  word: z.enum(FIT_WORDS),
  state: z.enum(PART_STATES),
  warm: z.boolean().optional(),
  pushN: z.number().positive().max(10_000).optional(),
});

export type TryInput = z.infer<typeof tryInput>;
