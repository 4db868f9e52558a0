import { z } from 'zod';
import { numberField, optionalId, textField } from '@/subjects/language/shared';

const MOST = { low: 0, high: 1_000_000 } as const;

/** Something that is used up beside resin; with an id it is counted anew. */
export const stockForm = z.object({
  stockId: optionalId('What it is'),
  /** As it was when the page showed it. */
  revision: optionalId('Revision'),
  name: textField('What', { limit: 60 }),
  unit: textField('Counted in', { limit: 20 }),
  counted: numberField('Left', 'number', MOST),
  perPrint: numberField('A print takes', 'number', { ...MOST, hint: 'A film for 60 prints: 0.017.' }),
  leadDays: numberField('Days until more has come', 'number', { low: 0, high: 365 }),
});
export type StockCounted = z.output<typeof stockForm>;
