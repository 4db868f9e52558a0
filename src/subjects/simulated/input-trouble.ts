import { z } from 'zod';
import { TROUBLE_NAMES } from '@/core/simulated';
import { choiceField, idField } from '@/subjects/kit/shared';

/** Faults of a simulated printer: none, a hidden one, or a named one. */
export const TROUBLE_CHOICES = ['none', 'hidden', ...TROUBLE_NAMES] as const;
export type TroubleChoice = (typeof TROUBLE_CHOICES)[number];

export const troubleForm = z.object({
  printerId: idField('Printer'),
  trouble: choiceField<TroubleChoice>('Simulated fault', TROUBLE_CHOICES),
});
