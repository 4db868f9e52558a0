import { z } from 'zod';
import { numberField, optionalNumber, textField, tickField } from '@/subjects/language/shared';

/** A printer with a resin and its settings. */
export const profileForm = z
  .object({
    printerName: textField('Printer', { limit: 60 }),
    pixelMm: optionalNumber('Pixel, without anti-aliasing', 'length', {
      low: 0.001,
      high: 1,
      hint: 'Leave blank when unknown.',
    }),
    simulated: tickField('A simulated printer for practice'),
    resinName: textField('Resin', { limit: 60 }),
    shrinkPercent: optionalNumber('Linear shrink from its datasheet', 'percent', {
      low: -5,
      high: 10,
      hint: 'Linear only; a volumetric figure does not belong here.',
    }),
    profileName: textField('Profile', { limit: 60 }),
    layerMm: numberField('Layer height', 'length', { low: 0.005, high: 0.5 }),
    lot: textField('Lot of the resin', { optional: true, limit: 60 }),
  })
  .transform(({ shrinkPercent, ...rest }) => ({
    ...rest,
    linearShrink: shrinkPercent === undefined ? undefined : shrinkPercent / 100,
  }));
