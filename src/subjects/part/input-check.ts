import { z } from 'zod';
import { CHANCES, FINDING_CODES, RISKS, type PrintSetup, STATIONS } from '@/core/part/findings';
import { BOUNDS, type FeatureKind, isWithin, LONGEST_MM } from '@/core/measure';
import { kindFields } from '@/subjects/job/jobs/shared';
import { choiceField, finite, numberField, optionalNumber, refuse, textField } from '@/subjects/kit/shared';

/** How the part will stand; on supports their height is needed. */
export const printSetupForm = z
  .object({
    stance: choiceField('Support', ['plate', 'supports', 'inFile']),
    liftMm: optionalNumber('Support height', 'length', { low: 0.1, high: 100 }),
  })
  .transform(({ stance, liftMm }, context): PrintSetup => {
    if (stance !== 'supports') return { kind: stance };
    if (liftMm === undefined) return refuse(context, { code: 'blank' }, 'liftMm');
    return { kind: 'supports', liftMm };
  });

/** A print of the newest attempt. */
export const printForm = z
  .object({
    copies: numberField('Copies on the plate', 'number', { low: 1, high: 200 }),
    despite: textField('Reason to print anyway', { optional: true, limit: 300 }),
    placeXMm: optionalNumber('Right of the plate centre', 'length', { low: -1000, high: 1000 }),
    placeYMm: optionalNumber('Behind the plate centre', 'length', {
      low: -1000,
      high: 1000,
      hint: 'Measured to the middle of the part. Left and front are negative.',
    }),
    roomC: optionalNumber('Room temperature', 'temperature', { low: -10, high: 60 }),
  })
  .transform(({ copies, despite, placeXMm, placeYMm, roomC }, context) => {
    if ((placeXMm === undefined) !== (placeYMm === undefined))
      refuse(
        context,
        { code: 'together', other: placeXMm === undefined ? 'placeXMm' : 'placeYMm' },
        placeXMm === undefined ? 'placeYMm' : 'placeXMm',
      );
    const place =
      placeXMm === undefined || placeYMm === undefined ? undefined : { xMm: placeXMm, yMm: placeYMm };
    return { copies: Math.round(copies), despite, place, roomC };
  });

/** What is decided of one finding. */
export const findingForm = z.object({
  key: textField('Finding', { limit: 200 }),
  verdict: choiceField('Decision', ['passed', 'waived', 'open']),
  reason: textField('Reason', { optional: true, limit: 300 }),
});

const place = z.tuple([finite, finite, finite]);

const finding = z.object({
  key: z.string().max(200),
  code: z.enum(FINDING_CODES),
  risk: z.enum(RISKS),
  chance: z.enum(CHANCES),
  costHours: finite,
  measured: finite,
  limit: finite.optional(),
  station: z.enum(STATIONS).optional(),
  layer: z.int().optional(),
  toLayer: z.int().optional(),
  atMm: place.optional(),
  ventMm: place.optional(),
  volumeMm3: finite.optional(),
  more: z.int().min(0),
});

/** What the page's worker found. */
export const findingsInput = z.object({
  source: z.string().max(20_000),
  stance: z.union([
    z.object({ kind: z.literal('plate') }),
    z.object({ kind: z.literal('supports'), liftMm: finite.min(0).max(1000) }),
    z.object({ kind: z.literal('inFile') }),
  ]),
  layerMm: z.number().min(0.001).max(10),
  findings: z.array(finding).max(200),
});

/** How a turned file was turned: nine numbers of a rotation, row by row, then the lift, mm. */
export const turnInput = z.object({
  rotation: z.array(z.number().min(-1.001).max(1.001)).length(9),
  liftMm: finite,
});

/** A size found on the mesh becomes a feature of the job. */
export const foundFeatureForm = z
  .object({
    name: textField('Name', { limit: 60 }),
    ...kindFields,
    angleRad: z.string().default(''),
    targetMm: numberField('Wanted', 'length', { low: 0, high: LONGEST_MM }),
    toleranceMm: numberField('±', 'length', { low: 0.001, high: 5 }),
    anchor: z.string().transform((text, context): [number, number, number] => {
      const numbers = text.split(',').map(Number);
      if (numbers.length !== 3 || !numbers.every((value) => isWithin(value, BOUNDS.deviation)))
        return refuse(context, { code: 'notNumbers', text });
      return [numbers[0], numbers[1], numbers[2]];
    }),
  })
  .transform(({ sense, shape, axis, base, angleRad, targetMm, toleranceMm, ...rest }) => {
    const angle = angleRad === '' ? undefined : Number(angleRad);
    const kind: FeatureKind = {
      sense,
      shape,
      axis,
      ...(base === '' ? {} : { base }),
      ...(angle === undefined || !Number.isFinite(angle) ? {} : { angleRad: angle }),
    };
    return {
      ...rest,
      kind,
      targetMm,
      lowerDeviationMm: -toleranceMm,
      upperDeviationMm: toleranceMm,
    };
  });
