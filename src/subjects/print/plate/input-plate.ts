import { CHECKLIST_KEYS } from '@/core/print/checklist';
import { z } from 'zod';
import type { VatReading } from '@/core/print';
import {
  choiceField,
  finite,
  numberField,
  optionalId,
  optionalNumber,
  refuse,
  textField,
  tickField,
} from '@/subjects/kit/shared';

const COPIES = { low: 0, high: 500 } as const;

/** How a piece is printed: solid where no wall is given. */
const wallField = () => optionalNumber('Wall thickness, if hollow', 'length', { low: 0.3, high: 50 });

/** A job's newest attempt for a plate. */
export const layForm = z
  .object({
    copies: numberField('Copies', 'number', { ...COPIES, low: 1 }),
    runId: optionalId('Plate'),
    wallMm: wallField(),
  })
  .transform(({ copies, ...rest }) => ({ copies: Math.round(copies), ...rest }));

export const copiesForm = z
  .object({ copies: numberField('Copies', 'number', COPIES), wallMm: wallField() })
  .transform(({ copies, wallMm }) => ({ copies: Math.round(copies), wallMm }));

/** Another job for a plate that waits. */
export const addForm = z
  .object({
    jobId: optionalId('Job'),
    copies: numberField('Copies', 'number', { ...COPIES, low: 1 }),
  })
  .transform(({ copies, jobId }) => ({ copies: Math.round(copies), jobId }));

const VOLUME = { low: 0, high: 50_000 } as const;

/** What the vat holds, and its level by volume, by two marks, or on a scale. */
export const vatForm = z
  .object({
    capacityMl: numberField('Vat capacity', 'volume', VOLUME),
    floorMl: numberField('Minimum level to print', 'volume', VOLUME),
    by: choiceField('Read the level', ['volume', 'marks', 'weight']),
    ml: optionalNumber('Resin in the vat', 'volume', VOLUME),
    lowMl: optionalNumber('Volume at the lower mark', 'volume', VOLUME),
    highMl: optionalNumber('Volume at the upper mark', 'volume', VOLUME),
    sharePercent: optionalNumber('Resin level between the marks', 'percent', { low: 0, high: 150 }),
    fullG: optionalNumber('Weight of vat with resin', 'mass', { low: 0, high: 50_000 }),
    emptyG: optionalNumber('Weight of empty vat', 'mass', { low: 0, high: 50_000 }),
    density: optionalNumber('Density, g/ml', 'number', { low: 0.5, high: 3 }),
  })
  .transform(({ capacityMl, floorMl, by, ...given }, context) => {
    const wanted = {
      volume: ['ml'],
      marks: ['lowMl', 'highMl', 'sharePercent'],
      weight: ['fullG', 'emptyG', 'density'],
    } as const;
    const missing = wanted[by].filter((name) => given[name as keyof typeof given] === undefined);
    for (const name of missing) refuse(context, { code: 'blank' }, name);
    if (missing.length > 0) return z.NEVER;
    const { ml, lowMl, highMl, sharePercent, fullG, emptyG, density } = given as Required<{
      [Name in keyof typeof given]: number;
    }>;
    if (by === 'marks' && highMl <= lowMl)
      return refuse(context, { code: 'worded', text: 'must be above the lower mark.' }, 'highMl');
    if (by === 'weight' && fullG < emptyG)
      return refuse(context, { code: 'worded', text: 'must weigh more than the vat alone.' }, 'fullG');
    const read: VatReading =
      by === 'volume'
        ? { by, ml }
        : by === 'marks'
          ? { by, lowMl, highMl, share: sharePercent / 100 }
          : { by, fullG, emptyG, density };
    return { capacityMl, floorMl, read };
  });

/** The bottle that is poured from, and the warmth of the room. */
export const aroundForm = z.object({
  bottleId: optionalId('Bottle'),
  roomC: optionalNumber('Room temperature', 'temperature', { low: -10, high: 60 }),
});

export const pourForm = z.object({
  clientKey: textField('Key', { limit: 80 }),
  ml: numberField('Added resin', 'volume', { low: 0.1, high: 20_000 }),
  bottleId: optionalId('From'),
  layer: optionalNumber('Layer', 'number', { low: 0, high: 1_000_000 }),
});

/** Hours and minutes of a clock, 24 hours. */
const CLOCK = /^([01]?\d|2[0-3])[:.]?([0-5]\d)$/;

/** How a print ended. `at` is today, or yesterday if that time is in the future. */
export const endForm = z
  .object({
    seen: choiceField('End of print', ['now', 'at', 'unseen']),
    at: textField('At', { optional: true, limit: 5 }),
  })
  .transform(({ seen, at }, context) => {
    const match = CLOCK.exec(at);
    if (seen === 'at' && match === null)
      return refuse(context, { code: 'worded', text: 'enter the time as 14:05.' }, 'at');
    return { seen, at: match === null ? undefined : { hours: Number(match[1]), minutes: Number(match[2]) } };
  });

export const stopForm = z.object({
  layer: optionalNumber('Last good layer', 'number', { low: 0, high: 1_000_000 }),
  reason: textField('Reason for the stop', { limit: 200 }),
  isUsable: tickField('Some parts are usable'),
});

export const weighForm = z.object({
  parts: numberField('Parts', 'number', { low: 0, high: 1e6 }),
  supports: numberField('Supports', 'number', { low: 0, high: 1e6 }),
  unit: choiceField('Unit', ['g', 'oz', 'ml']),
});

/** A piece put somewhere else. */
export const moveInput = z.object({
  pieceId: z.int().positive(),
  xMm: finite,
  yMm: finite,
  isTurned: z.boolean(),
});

/** Layers of a part, as the page read them off its file. */
export const layersInput = z.object({
  part: z.string().min(1).max(20_000),
  layerMm: z.number().positive().max(1),
  areasMm2: z.array(z.number().nonnegative().max(1e9)).min(1).max(200_000),
  sizeMm: z.tuple([
    z.number().positive().max(1e5),
    z.number().positive().max(1e5),
    z.number().positive().max(1e5),
  ]),
  volumeMm3: z.number().nonnegative().max(1e12),
  surfaceMm2: z.number().nonnegative().max(1e12),
});

export const checklistInput = z.object({
  keys: z.array(z.enum(CHECKLIST_KEYS)).min(1).max(CHECKLIST_KEYS.length),
  well: z.boolean(),
  reason: z.string().max(300),
});
