import { z } from 'zod';
import type { Quantity } from '@/core/measure';
import {
  BATHS,
  BENCH_LIMITS,
  type BenchLimits,
  BENDS,
  type ResinTestKind,
  type ResinTestData,
} from '@/core/resin';
import {
  choiceField,
  dayField,
  numberField,
  numbersField,
  optionalNumber,
  textField,
  tickField,
} from '@/subjects/kit/shared';

/** Rows in the form of a test. */
export const RESIN_TEST_ROWS = 10;

/** A column of readings in the form of a test: the name of its cells and their meaning. */
export interface ResinTestColumn {
  readonly name: string;
  readonly label: string;
  readonly quantity: Quantity;
  readonly low: number;
  readonly high: number;
}

/** Two columns of a form, `first_0` … and `second_0` …; a row counts when both cells are filled. */
function rowsOf(first: ResinTestColumn, second: ResinTestColumn) {
  const indices = Array.from({ length: RESIN_TEST_ROWS }, (_, i) => i);
  const cell = ({ name, label, quantity, low, high }: ResinTestColumn, i: number) => [
    `${name}_${i}`,
    optionalNumber(`${label}, row ${i + 1}`, quantity, { low, high }),
  ];
  const shape: Record<string, ReturnType<typeof optionalNumber>> = Object.fromEntries(
    indices.flatMap((i) => [cell(first, i), cell(second, i)]),
  );
  const read = (form: Readonly<Record<string, unknown>>): [number, number][] =>
    indices.flatMap((i): [number, number][] => {
      const [a, b] = [form[`${first.name}_${i}`], form[`${second.name}_${i}`]];
      return typeof a === 'number' && typeof b === 'number' ? [[a, b]] : [];
    });
  return { shape, read };
}

/** The two columns of each test with rows. */
export const RESIN_TEST_COLUMNS = {
  bend: [
    { name: 'massG', label: 'Weight, g', quantity: 'mass', low: 0, high: 100_000 },
    { name: 'readingMm', label: 'Reading, mm', quantity: 'length', low: -1000, high: 100_000 },
  ],
  sag: [
    { name: 'tempC', label: 'Temperature, °C', quantity: 'temperature', low: -20, high: 400 },
    { name: 'readingMm', label: 'Reading, mm', quantity: 'length', low: -1000, high: 100_000 },
  ],
  yellowing: [
    { name: 'minutes', label: 'Cured, minutes', quantity: 'number', low: 0, high: 600 },
    { name: 'shade', label: 'Shade, 0 (clear) to 5 (amber)', quantity: 'number', low: -1000, high: 100_000 },
  ],
} as const satisfies Partial<Record<ResinTestKind, readonly [ResinTestColumn, ResinTestColumn]>>;

const common = {
  on: dayField('Test date'),
  note: textField('Print and cure settings', { optional: true, limit: 200 }),
};

const bar = {
  bend: choiceField('Bar support', BENDS),
  spanMm: numberField('Span or free length', 'length', { low: 1, high: 1000 }),
  widthMm: numberField('Width', 'length', { low: 0.1, high: 200 }),
  thicknessMm: numberField('Thickness', 'length', { low: 0.1, high: 100 }),
};

const instruments = {
  caliperMm: optionalNumber('Caliper limit of error', 'length', { low: 0, high: 1 }),
};

const limitsOf = (caliperMm: number | undefined): BenchLimits => ({
  ...BENCH_LIMITS,
  caliperMm: caliperMm ?? BENCH_LIMITS.caliperMm,
});

/** A test as a form sends it. */
type ResinTestInput = ResinTestData & { readonly on: string; readonly note: string };

const loads = rowsOf(...RESIN_TEST_COLUMNS.bend);

const bend = z
  .object({
    ...common,
    ...instruments,
    bend: bar.bend,
    spanMm: bar.spanMm,
    widthsMm: numbersField('Widths along the bar', 'length', { low: 0.1, high: 200 }),
    thicknessesMm: numbersField('Thicknesses along the bar', 'length', { low: 0.1, high: 100 }),
    ...loads.shape,
  })
  .transform(
    ({ on, note, caliperMm, bend: how, spanMm, widthsMm, thicknessesMm, ...rows }): ResinTestInput => ({
      kind: 'bend',
      on,
      note,
      test: {
        bend: how,
        spanMm,
        widthsMm,
        thicknessesMm,
        steps: loads.read(rows).map(([massG, readingMm]) => ({ massG, readingMm })),
        limits: limitsOf(caliperMm),
      },
    }),
  );

const breaks = z
  .object({
    ...common,
    ...instruments,
    ...bar,
    deflectionsMm: numbersField('Deflection, one number per bar', 'length', { low: 0.01, high: 500 }),
    broke: tickField('The bars broke at that point'),
  })
  .transform(({ on, note, caliperMm, deflectionsMm, broke, ...rest }): ResinTestInput => ({
    kind: 'break',
    on,
    note,
    test: { bar: rest, deflectionsMm, broke, limits: limitsOf(caliperMm) },
  }));

const steps = rowsOf(...RESIN_TEST_COLUMNS.sag);

const sag = z
  .object({
    ...common,
    ...bar,
    massG: numberField('Weight on the bar', 'mass', { low: 0.1, high: 100_000 }),
    bath: choiceField('Heating method', BATHS),
    thermometerK: numberField('Thermometer limit of error', 'temperatureDifference', { low: 0.05, high: 10 }),
    ...steps.shape,
  })
  .transform(
    ({
      on,
      note,
      bend: how,
      spanMm,
      widthMm,
      thicknessMm,
      massG,
      bath,
      thermometerK,
      ...rows
    }): ResinTestInput => ({
      kind: 'sag',
      on,
      note,
      test: {
        bar: { bend: how, spanMm, widthMm, thicknessMm },
        massG,
        bath,
        thermometerK,
        steps: steps.read(rows).map(([tempC, readingMm]) => ({ tempC, readingMm })),
      },
    }),
  );

const drop = z
  .object({
    ...common,
    wholeM: numbersField('Unbroken after falls from, m', 'number', { low: 0.01, high: 20, optional: true }),
    brokenM: numbersField('Broken after falls from, m', 'number', { low: 0.01, high: 20, optional: true }),
  })
  .transform(({ on, note, wholeM, brokenM }): ResinTestInput => ({
    kind: 'drop',
    on,
    note,
    test: {
      trials: [
        ...wholeM.map((heightM) => ({ heightM, broke: false })),
        ...brokenM.map((heightM) => ({ heightM, broke: true })),
      ],
    },
  }));

const shades = rowsOf(...RESIN_TEST_COLUMNS.yellowing);

const yellowing = z
  .object({
    ...common,
    accepted: numberField('Highest accepted shade, 0 to 5', 'number', { low: 0, high: 5 }),
    ...shades.shape,
  })
  .transform(({ on, note, accepted, ...rows }): ResinTestInput => ({
    kind: 'yellowing',
    on,
    note,
    test: { accepted, readings: shades.read(rows).map(([minutes, shade]) => ({ minutes, shade })) },
  }));

const creep = z
  .object({
    ...common,
    ...instruments,
    under: textField('Load during the wait'),
    firstMm: numberField('Reading now', 'length', { low: 0, high: 1000 }),
    weeks: numberField('Second reading after, weeks', 'number', { low: 0.1, high: 260 }),
  })
  .transform(({ on, note, caliperMm, ...rest }): ResinTestInput => ({
    kind: 'creep',
    on,
    note,
    test: { ...rest, caliperMm: caliperMm ?? BENCH_LIMITS.caliperMm },
  }));

/** The form of each kind of test. */
export const RESIN_TEST_FORMS = {
  bend,
  break: breaks,
  sag,
  drop,
  yellowing,
  creep,
} as const satisfies Record<ResinTestKind, z.ZodType<ResinTestInput>>;

/** The second reading of a creep check. */
export const creepAgainForm = z.object({
  secondMm: numberField('Second reading at the same place', 'length', { low: 0, high: 1000 }),
});
