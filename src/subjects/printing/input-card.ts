import { z } from 'zod';
import { dayField, idField, refuse, textField } from '@/subjects/language/shared';

const optional = (label: string, limit: number) => textField(label, { limit, optional: true });

/** Numbers of a device; what is left blank is not kept. */
export const cardForm = z
  .object({
    printerId: idField('Printer'),
    serial: optional('Serial number', 60),
    firmware: optional('Firmware', 60),
    boughtOn: dayField('Bought on'),
    warrantyUntil: dayField('Warranty until'),
    note: optional('What else its maker or dealer asks for', 500),
  })
  .transform(({ printerId, ...said }, context) => {
    const { boughtOn, warrantyUntil } = said;
    if (boughtOn !== '' && warrantyUntil !== '' && warrantyUntil < boughtOn)
      return refuse(
        context,
        { code: 'worded', text: 'The warranty ends before it was bought: one of the two days is wrong.' },
        'warrantyUntil',
      );
    return { printerId, card: Object.fromEntries(Object.entries(said).filter(([, text]) => text !== '')) };
  });
