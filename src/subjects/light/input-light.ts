import { z } from 'zod';
import { ENGINES } from '@/core/light';
import { choiceField, idField, numberField, optionalNumber, textField } from '@/subjects/language/shared';

const IRRADIANCE = { low: 0.01, high: 1000 } as const;

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

/** A profile of the same resin on another machine, by what cures here and there. */
export const deriveForm = z.object({
  printerName: textField('Printer there', { limit: 60 }),
  engineFrom: choiceField('Here it is cured by', ENGINES),
  engineTo: choiceField('There by', ENGINES),
  from: optionalNumber('Irradiance here', 'number', IRRADIANCE),
  to: optionalNumber('Irradiance there', 'number', IRRADIANCE),
});
export type Derived = Partial<z.infer<typeof deriveForm>> & Omit<z.infer<typeof deriveForm>, 'from' | 'to'>;

/** Strips and gauges for the simulated printer, as the page sends them. */
export const cureInput = z.object({ exposureS: exposureS.lt(900), instrumentId: z.int().positive() });
export const bracketInput = z.object({ nowS: exposureS, exposuresS: z.array(exposureS).min(1).max(9) });
