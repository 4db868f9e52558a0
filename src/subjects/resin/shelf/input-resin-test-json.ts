import { z } from 'zod';
import { BATHS, BENDS } from '@/core/resin';
import { day, finite } from '@/subjects/kit/shared';

const positive = finite.positive();

const notNegative = finite.min(0);

const bar = z.object({
  bend: z.enum(BENDS),
  spanMm: positive,
  widthMm: positive,
  thicknessMm: positive,
});

const limits = z.object({
  caliperMm: notNegative,
  resolutionMm: positive,
  spanMm: notNegative,
  massShare: notNegative,
});

const many = <Item extends z.ZodType>(item: Item) => z.array(item).min(1).max(60);

const on = day;

/** A resin test in a file. */
export const resinTestJson = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('bend'),
    on,
    test: z.object({
      bend: z.enum(BENDS),
      spanMm: positive,
      widthsMm: many(positive),
      thicknessesMm: many(positive),
      steps: many(z.object({ massG: notNegative, readingMm: finite })),
      limits,
    }),
  }),
  z.object({
    kind: z.literal('break'),
    on,
    test: z.object({ bar, deflectionsMm: many(positive), broke: z.boolean(), limits }),
  }),
  z.object({
    kind: z.literal('sag'),
    on,
    test: z.object({
      bar,
      massG: positive,
      bath: z.enum(BATHS),
      steps: many(z.object({ tempC: finite, readingMm: finite })),
      thermometerK: notNegative,
    }),
  }),
  z.object({
    kind: z.literal('drop'),
    on,
    test: z.object({ trials: many(z.object({ heightM: positive, broke: z.boolean() })) }),
  }),
  z.object({
    kind: z.literal('yellowing'),
    on,
    test: z.object({
      readings: many(z.object({ minutes: notNegative, shade: notNegative })),
      accepted: notNegative,
    }),
  }),
  z.object({
    kind: z.literal('creep'),
    on,
    test: z.object({
      under: z.string().max(200),
      firstMm: finite,
      weeks: positive,
      secondMm: finite.optional(),
      caliperMm: positive,
    }),
  }),
]);
