import { z } from 'zod';
import { textField } from '@/subjects/kit/shared';

/** The reason for an attempt, and its correction method. */
export const attemptForm = z.object({
  reason: textField('Reason, one line', { optional: true, limit: 300 }),
});
