import { z } from 'zod';
import { dayField, idField, refuse, textField } from '@/subjects/kit/shared';

const optional = (label: string, limit: number) => textField(label, { limit, optional: true });

/** Settings of a device; blank fields are not stored. */
export const cardForm = z
  .object({
    printerId: idField('Printer'),
    serial: optional('Serial number', 60),
    firmware: optional('Firmware', 60),
    boughtOn: dayField('Purchase date'),
    warrantyUntil: dayField('Warranty until'),
    note: optional('Other details for the maker or dealer', 500),
  })
  .transform(({ printerId, ...said }, context) => {
    const { boughtOn, warrantyUntil } = said;
    if (boughtOn !== '' && warrantyUntil !== '' && warrantyUntil < boughtOn)
      return refuse(
        context,
        { code: 'worded', text: 'The warranty ends before the purchase date. Correct one of the two dates.' },
        'warrantyUntil',
      );
    return { printerId, card: Object.fromEntries(Object.entries(said).filter(([, text]) => text !== '')) };
  });
