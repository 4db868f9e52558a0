import { z } from 'zod';
import { MAINTENANCE_DEFAULTS, type MaintenanceRules } from '@/core/log';
import { numberField } from '@/subjects/kit/shared';

/** Maintenance intervals, and the price of a film. */
export interface HouseMaintenance extends Required<MaintenanceRules> {
  /** A new film with the work of changing it, in the shop's own money. */
  readonly filmCost: number;
}

/** A film of 15 and half an hour of work at 40; intervals as they are usual. */
export const HOUSE_MAINTENANCE: HouseMaintenance = Object.freeze({ ...MAINTENANCE_DEFAULTS, filmCost: 35 });

const counted = (label: string, high: number) => numberField(label, 'number', { low: 1, high });

export const maintenanceRulesForm = z
  .object({
    filmLayers: counted('Film life, layers', 10_000_000),
    filmCost: numberField('Cost of a new film, labour included', 'number', { low: 0, high: 100_000 }),
    panelHours: counted('Screen life, hours of light', 100_000),
    filterRuns: counted('Prints between resin filterings', 10_000),
    drainDays: counted('Days between vat drainings', 3650),
    washParts: counted('Wash liquid life, pieces', 100_000),
    lookRuns: counted('Prints between inspections', 10_000),
  })
  .transform(({ filmCost, ...intervals }): HouseMaintenance => {
    const whole = Object.entries(intervals).map(([name, each]) => [name, Math.round(each)] as const);
    return { ...(Object.fromEntries(whole) as typeof intervals), filmCost };
  });
