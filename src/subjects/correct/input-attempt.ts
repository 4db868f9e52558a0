import { z } from 'zod';
import { textField } from '@/subjects/language/shared';

/** The reason for an attempt, and by which lever it is put right. */
export const attemptForm = z.object({ reason: textField('Why, in a line', { optional: true, limit: 300 }) });
