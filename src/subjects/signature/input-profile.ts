import { z } from 'zod';
import { numberField, optionalNumber, textField, tickField } from '@/subjects/kit/shared';

/** A printer with a resin and its settings. */
export const profileForm = z
  .object({
    printerName: textField('Printer', { limit: 60 }),
    pixelMm: optionalNumber('Pixel size, without anti-aliasing', 'length', {
      low: 0.001,
      high: 1,
      hint: 'Leave blank when unknown.',
    }),
    simulated: tickField('Simulated printer, for practice'),
    resinName: textField('Resin', { limit: 60 }),
    shrinkPercent: optionalNumber('Linear shrinkage from the datasheet', 'percent', {
      low: -5,
      high: 10,
      hint: 'Linear only. Do not enter a volumetric value.',
    }),
    profileName: textField('Profile', { limit: 60 }),
    layerMm: numberField('Layer height', 'length', { low: 0.005, high: 0.5 }),
    lot: textField('Resin lot', { optional: true, limit: 60 }),
  })
  .transform(({ shrinkPercent, ...rest }) => ({
    ...rest,
    linearShrink: shrinkPercent === undefined ? undefined : shrinkPercent / 100,
  }));
