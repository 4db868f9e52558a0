import { z } from 'zod';
import { numberField, optionalId, textField } from '@/subjects/kit/shared';

const MOST = { low: 0, high: 1_000_000 } as const;

/** A consumable; with an id it is counted again. */
export const stockForm = z.object({
  stockId: optionalId('Item'),
  /** Its value when the page showed it. */
  revision: optionalId('Revision'),
  name: textField('Description', { limit: 60 }),
  unit: textField('Unit', { limit: 20 }),
  counted: numberField('Remaining', 'number', MOST),
  perPrint: numberField('Use per print', 'number', {
    ...MOST,
    hint: 'For a film that lasts 60 prints: 0.017.',
  }),
  leadDays: numberField('Delivery time, days', 'number', { low: 0, high: 365 }),
});
export type StockCounted = z.output<typeof stockForm>;
