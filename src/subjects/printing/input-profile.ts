import { z } from 'zod';
import { numberField, optionalNumber, textField, tickField } from '@/subjects/language/shared';

/** A printer with a resin and its settings. */
export const profileForm = z
  .object({
    printerName: textField({ limit: 60 }),
    pixelMm: optionalNumber(0.001, 1),
    standIn: tickField,
    resinName: textField({ limit: 60 }),
    shrinkPercent: optionalNumber(-5, 10),
    profileName: textField({ limit: 60 }),
    layerMm: numberField(0.005, 0.5),
    lot: textField({ optional: true, limit: 60 }),
  })
  .transform(({ shrinkPercent, ...rest }) => ({
    ...rest,
    linearShrink: shrinkPercent === undefined ? undefined : shrinkPercent / 100,
  }));
