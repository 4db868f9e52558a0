import { z } from 'zod';

const STEPS = [
  'shake',
  'warm',
  'drip',
  'unload',
  'wash',
  'dry',
  'supports',
  'assemble',
  'cure',
  'cool',
  'coat',
  'vat',
] as const;

/** A tap that begins a step of a print, as the page sends it. */
export const stepInput = z.object({
  clientKey: z.string().min(8).max(80),
  printId: z.int().positive(),
  /** Other prints of the same plate that it is done for at once. */
  alsoPrintIds: z.array(z.int().positive()).max(500).default([]),
  step: z.enum(STEPS),
  plannedS: z
    .int()
    .positive()
    .max(7 * 86_400)
    .optional(),
  /** In the simulated wash or lamp, whose clock runs so many times as fast. */
  stationSpeed: z.number().min(1).max(600).optional(),
});
