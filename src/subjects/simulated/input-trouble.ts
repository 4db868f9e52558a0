import { z } from 'zod';
import { TROUBLE_NAMES } from '@/core/virtual';
import { choiceField, idField } from '@/subjects/language/shared';

/** What can ail a simulated printer: nothing, one that nobody is told, or a named one. */
export const TROUBLE_CHOICES = ['none', 'hidden', ...TROUBLE_NAMES] as const;
export type TroubleChoice = (typeof TROUBLE_CHOICES)[number];

export const troubleForm = z.object({
  printerId: idField('Printer'),
  trouble: choiceField<TroubleChoice>('What ails it', TROUBLE_CHOICES),
});
