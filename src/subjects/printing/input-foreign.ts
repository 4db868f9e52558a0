import { z } from 'zod';
import { optionalId, textField } from '@/subjects/language/shared';

/** A signature of another shop: its file's text, and the printer or the resin that is the same here. */
export const foreignForm = z.object({
  name: textField('What it is called here', { limit: 80 }),
  printerId: optionalId('On the same kind of printer as'),
  resinId: optionalId('With the same resin as'),
  text: textField('The file of the signature', { limit: 200_000 }),
});
