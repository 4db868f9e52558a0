import { z } from 'zod';
import { CHANCES, FINDING_CODES, RISKS, STATIONS, type Room, type Rooms, type Stance } from '@/core/findings';
import type { FeatureKind } from '@/core/metrology';
import { choiceField, numberField, optionalNumber, refuse, textField } from './form-fields';
import { kindFields } from './job-forms';

/** How the part will stand; on supports their height is needed. */
export const stanceForm = z
  .object({ stance: choiceField(['plate', 'supports', 'inFile']), liftMm: optionalNumber(0.1, 100) })
  .transform(({ stance, liftMm }, context): Stance => {
    if (stance !== 'supports') return { kind: stance };
    if (liftMm === undefined) {
      context.addIssue({ code: 'custom', path: ['liftMm'], params: { issue: { code: 'blank' } } });
      return z.NEVER;
    }
    return { kind: 'supports', liftMm };
  });

/** What is decided of one finding. */
export const findingForm = z.object({
  key: textField({ limit: 200 }),
  title: textField({ limit: 200 }),
  verdict: choiceField(['passed', 'waived', 'open']),
  reason: textField({ optional: true, limit: 300 }),
});

const place = z.tuple([z.number(), z.number(), z.number()]);

const finding = z.object({
  key: z.string().max(200),
  code: z.enum(FINDING_CODES),
  risk: z.enum(RISKS),
  chance: z.enum(CHANCES),
  costHours: z.number(),
  measured: z.number(),
  limit: z.number().optional(),
  station: z.enum(STATIONS).optional(),
  layer: z.number().int().optional(),
  toLayer: z.number().int().optional(),
  atMm: place.optional(),
  ventMm: place.optional(),
  volumeMm3: z.number().optional(),
  more: z.number().int(),
});

/** What the page's worker found. */
export const findingsInput = z.object({
  source: z.string().max(20_000),
  stance: z.union([
    z.object({ kind: z.literal('plate') }),
    z.object({ kind: z.literal('supports'), liftMm: z.number() }),
    z.object({ kind: z.literal('inFile') }),
  ]),
  layerMm: z.number().positive(),
  findings: z.array(finding).max(200),
});

export const turnInput = z.object({ rotation: z.array(z.number()).length(9), liftMm: z.number() });

/** A size found on the mesh becomes a feature of the job. */
export const foundFeatureForm = z
  .object({
    name: textField({ limit: 60 }),
    ...kindFields,
    angleRad: z.string().default(''),
    targetMm: numberField(0, 2000),
    toleranceMm: numberField(0.001, 5),
    anchor: z.string().transform((text, context): [number, number, number] => {
      const numbers = text.split(',').map(Number);
      if (numbers.length !== 3 || !numbers.every(Number.isFinite))
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
      lowerMm: targetMm - toleranceMm,
      upperMm: targetMm + toleranceMm,
    };
  });

const side = () => optionalNumber(1, 5000);

/** Rooms of a printer's plate, bath and lamp: all three sides or none. */
export const stationsForm = z
  .object({
    printerId: numberField(1, 1e9),
    layerSeconds: optionalNumber(0.5, 600),
    plate0: side(),
    plate1: side(),
    plate2: side(),
    wash0: side(),
    wash1: side(),
    wash2: side(),
    lamp0: side(),
    lamp1: side(),
    lamp2: side(),
  })
  .transform(({ printerId, layerSeconds, ...sides }, context) => {
    const rooms: { -readonly [Name in keyof Rooms]: Room } = {};
    for (const station of STATIONS) {
      const given = ([0, 1, 2] as const).map((i) => sides[`${station}${i}`]);
      const missing = given.findIndex((value) => value === undefined);
      if (missing < 0) rooms[station] = given as unknown as Room;
      else if (given.some((value) => value !== undefined)) {
        context.addIssue({
          code: 'custom',
          path: [`${station}${missing}`],
          params: { issue: { code: 'blank' } },
        });
        return z.NEVER;
      }
    }
    return { printerId, layerSeconds, rooms };
  });

/** What the house holds a part to; percentages as they are said. */
export const checkRulesForm = z
  .object({
    wallPixels: numberField(1, 50),
    leastGapMm: numberField(0.01, 5),
    selfSupportingDeg: numberField(5, 85),
    hangMm2: numberField(0.1, 10_000),
    peelPercent: numberField(1, 100),
    contactPercent: numberField(1, 100),
    cupMm2: numberField(0.1, 10_000),
  })
  .transform(({ peelPercent, contactPercent, ...rules }) => ({
    ...rules,
    peelShare: peelPercent / 100,
    contactShare: contactPercent / 100,
  }));
