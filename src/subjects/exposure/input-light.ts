import { z } from 'zod';
import { ENGINES } from '@/core/exposure';
import { choiceField, idField, numberField, optionalNumber, textField } from '@/subjects/kit/shared';

const IRRADIANCE = { low: 0.01, high: 1000 } as const;

export const UNITS = ['s', 'mJ/cm²'] as const;
export type LightUnit = (typeof UNITS)[number];

/** A strip as cured and measured. */
export const stripForm = z.object({
  unit: choiceField('Exposure unit', UNITS),
  exposure: numberField('Exposure', 'number', { low: 0.001, high: 3599 }),
  depthMm: numberField('Strip thickness', 'length', { low: 0.001, high: 5 }),
  instrumentId: idField('Caliper'),
});
export type StripRead = z.infer<typeof stripForm>;

export const BECAME = ['open', 'closed', 'lost'] as const;

/** What became of a bracket's gauge. */
export const gaugeForm = z.object({
  exposureS: numberField('Exposure', 'time', { low: 0.001, high: 3599 }),
  became: choiceField('Gauge', BECAME),
  wallMm: optionalNumber('Measured thickness of its 4 mm wall', 'length', { low: 1, high: 10 }),
});
export type GaugeSeen = z.infer<typeof gaugeForm>;

const exposureS = z.number().positive().lt(3600);

/** A profile of the same resin on another printer, by the light sources of both. */
export const deriveForm = z.object({
  printerName: textField('Other printer', { limit: 60 }),
  engineFrom: choiceField('Light source of this printer', ENGINES),
  engineTo: choiceField('Light source of the other printer', ENGINES),
  from: optionalNumber('Irradiance of this printer', 'number', IRRADIANCE),
  to: optionalNumber('Irradiance of the other printer', 'number', IRRADIANCE),
});
export type Derived = Partial<z.infer<typeof deriveForm>> & Omit<z.infer<typeof deriveForm>, 'from' | 'to'>;

/** Strips and gauges for the simulated printer, as the page sends them. */
export const cureInput = z.object({ exposureS: exposureS.lt(900), instrumentId: z.int().positive() });
export const bracketInput = z.object({ nowS: exposureS, exposuresS: z.array(exposureS).min(1).max(9) });
