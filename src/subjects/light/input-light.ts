import { z } from 'zod';
import { choiceField, idField, numberField, optionalNumber } from '@/subjects/language/shared';

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

export const BECAME = ['open', 'closed', 'lost'] as const;

/** What became of a bracket's gauge. */
export const gaugeForm = z.object({
  exposureS: numberField('Exposure', 'time', { low: 0.001, high: 3599 }),
  became: choiceField('The gauge', BECAME),
  wallMm: optionalNumber('Its 4 mm wall, read', 'length', { low: 1, high: 10 }),
});
export type GaugeSeen = z.infer<typeof gaugeForm>;

const exposureS = z.number().positive().lt(3600);

/** Strips and gauges for the simulated printer, as the page sends them. */
export const cureInput = z.object({ exposureS: exposureS.lt(900), instrumentId: z.int().positive() });
export const bracketInput = z.object({ nowS: exposureS, exposuresS: z.array(exposureS).min(1).max(9) });
