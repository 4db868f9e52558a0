import { z } from 'zod';
import { CARE_DEFAULTS, type CareRules } from '@/core/log';
import { numberField } from '@/subjects/language/shared';

/** The house's intervals of care, and what a film costs. */
export interface HouseCare extends Required<CareRules> {
  /** A new film with the work of changing it, in the shop's own money. */
  readonly filmCost: number;
}

/** A film of 15 and half an hour of work at 40; intervals as they are usual. */
export const HOUSE_CARE: HouseCare = Object.freeze({ ...CARE_DEFAULTS, filmCost: 35 });

const counted = (label: string, high: number) => numberField(label, 'number', { low: 1, high });

export const careRulesForm = z
  .object({
    filmLayers: counted('Layers that a film is used for', 10_000_000),
    filmCost: numberField('A new film, with its work', 'number', { low: 0, high: 100_000 }),
    panelHours: counted('Hours of light of a panel', 100_000),
    filterRuns: counted('Prints until the resin is strained', 10_000),
    drainDays: counted('Days until the vat is drained', 3650),
    washParts: counted('Pieces that wash liquid lasts for', 100_000),
    lookRuns: counted('Prints until it is looked over', 10_000),
  })
  .transform(({ filmCost, ...intervals }): HouseCare => {
    const whole = Object.entries(intervals).map(([name, each]) => [name, Math.round(each)] as const);
    return { ...(Object.fromEntries(whole) as typeof intervals), filmCost };
  });
