import { z } from 'zod';
import { optionalId, textField } from '@/subjects/kit/shared';

/** A signature of another shop: its file's text, and the printer or the resin that is the same here. */
export const foreignForm = z.object({
  name: textField('Name in this workshop', { limit: 80 }),
  printerId: optionalId('Same printer model as'),
  resinId: optionalId('Same resin as'),
  text: textField('Signature file', { limit: 200_000 }),
});
