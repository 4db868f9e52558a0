import { z } from 'zod';
import { parseLength } from '@/core/metrology';
import { BATHS, BENCH_LIMITS, type BenchLimits, BENDS, type ProofKind, type ProofTest } from '@/core/resins';
import {
  choiceField,
  dayField,
  numberField,
  optionalNumber,
  refuse,
  textField,
  tickField,
} from '@/subjects/language/shared';

/** Rows that a proof's form has room for. */
export const PROOF_ROWS = 10;

/** Numbers parted by spaces or semicolons, each read by the one parser. */
function numbersField(low: number, high: number, options: { readonly optional?: boolean } = {}) {
  return textField({ limit: 300, optional: options.optional }).transform((text, context): number[] => {
    const words = text.split(/[\s;]+/).filter((word) => word !== '');
    const numbers = words.map((word) => parseLength(word));
    if (!numbers.every((number) => number.ok)) return refuse(context, { code: 'notNumbers', text });
    const values = numbers.map((number) => number.value.valueMm);
    return values.every((value) => value >= low && value <= high)
      ? values
      : refuse(context, { code: 'outOfRange', low, high });
  });
}

/** Two columns of a form, `first_0` … and `second_0` …; a row counts when both cells are filled. */
function rowsOf(first: string, second: string, low: number, high: number) {
  const indices = Array.from({ length: PROOF_ROWS }, (_, i) => i);
  const shape = Object.fromEntries(
    indices.flatMap((i) => [
      [`${first}_${i}`, optionalNumber(low, high)],
      [`${second}_${i}`, optionalNumber(-1000, 100_000)],
    ]),
  );
  const read = (form: Readonly<Record<string, unknown>>): [number, number][] =>
    indices.flatMap((i): [number, number][] => {
      const [a, b] = [form[`${first}_${i}`], form[`${second}_${i}`]];
      return typeof a === 'number' && typeof b === 'number' ? [[a, b]] : [];
    });
  return { shape, read };
}

const common = { on: dayField, note: textField({ optional: true, limit: 200 }) };

const bar = {
  bend: choiceField(BENDS),
  spanMm: numberField(1, 1000),
  widthMm: numberField(0.1, 200),
  thicknessMm: numberField(0.1, 100),
};

const instruments = { caliperMm: optionalNumber(0, 1) };

const limitsOf = (caliperMm: number | undefined): BenchLimits => ({
  ...BENCH_LIMITS,
  caliperMm: caliperMm ?? BENCH_LIMITS.caliperMm,
});

/** A proof as a form gives it. */
type ProofInput = ProofTest & { readonly on: string; readonly note: string };

const loads = rowsOf('massG', 'readingMm', 0, 100_000);

const bend = z
  .object({
    ...common,
    ...instruments,
    bend: choiceField(BENDS),
    spanMm: numberField(1, 1000),
    widthsMm: numbersField(0.1, 200),
    thicknessesMm: numbersField(0.1, 100),
    ...loads.shape,
  })
  .transform(({ on, note, caliperMm, bend: how, spanMm, widthsMm, thicknessesMm, ...rows }): ProofInput => ({
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
  }));

const breaks = z
  .object({ ...common, ...instruments, ...bar, deflectionsMm: numbersField(0.01, 500), broke: tickField })
  .transform(({ on, note, caliperMm, deflectionsMm, broke, ...rest }): ProofInput => ({
    kind: 'break',
    on,
    note,
    test: { bar: rest, deflectionsMm, broke, limits: limitsOf(caliperMm) },
  }));

const steps = rowsOf('tempC', 'readingMm', -20, 400);

const sag = z
  .object({
    ...common,
    ...bar,
    massG: numberField(0.1, 100_000),
    bath: choiceField(BATHS),
    thermometerK: numberField(0.05, 10),
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
    }): ProofInput => ({
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
    wholeM: numbersField(0.01, 20, { optional: true }),
    brokenM: numbersField(0.01, 20, { optional: true }),
  })
  .transform(({ on, note, wholeM, brokenM }): ProofInput => ({
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

const shades = rowsOf('minutes', 'shade', 0, 600);

const yellowing = z
  .object({ ...common, accepted: numberField(0, 5), ...shades.shape })
  .transform(({ on, note, accepted, ...rows }): ProofInput => ({
    kind: 'yellowing',
    on,
    note,
    test: { accepted, readings: shades.read(rows).map(([minutes, shade]) => ({ minutes, shade })) },
  }));

const creep = z
  .object({
    ...common,
    ...instruments,
    under: textField({ limit: 120 }),
    firstMm: numberField(0, 1000),
    weeks: numberField(0.1, 260),
  })
  .transform(({ on, note, caliperMm, ...rest }): ProofInput => ({
    kind: 'creep',
    on,
    note,
    test: { ...rest, caliperMm: caliperMm ?? BENCH_LIMITS.caliperMm },
  }));

/** The form of each kind of proof. */
export const PROOF_FORMS = { bend, break: breaks, sag, drop, yellowing, creep } as const satisfies Record<
  ProofKind,
  z.ZodType<ProofInput>
>;

/** The second reading of a creep check. */
export const creepAgainForm = z.object({ secondMm: numberField(0, 1000) });
