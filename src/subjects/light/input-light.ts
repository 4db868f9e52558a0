import { z } from 'zod';
import { choiceField, idField, numberField } from '@/subjects/language/shared';

export const UNITS = ['s', 'mJ/cm²'] as const;
export type LightUnit = (typeof UNITS)[number];

/** A strip as it was cured and read. */
export const stripForm = z.object({
  unit: choiceField('Exposure in', UNITS),
  exposure: numberField('Exposure', 'number', { low: 0.001, high: 3599 }),
  depthMm: numberField('Thickness of the strip', 'length', { low: 0.001, high: 5 }),
  instrumentId: idField('Read with'),
});
export type StripRead = z.infer<typeof stripForm>;
