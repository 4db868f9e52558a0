import { z } from 'zod';
import {
  type Cause,
  causeOf,
  CAUSES,
  type Chances,
  EVIDENCE,
  type Evidence,
  type TestName,
  TESTS,
} from '@/core/log';
import { choiceField, numberField, optionalNumber } from '@/subjects/kit/shared';

/** A line of the tables: a piece of evidence, or the first outcome of a test. */
export type LineName =
  { readonly of: 'evidence'; readonly name: Evidence } | { readonly of: 'tests'; readonly name: TestName };

/** Nothing is certain: 0 or 100 % would exclude a cause permanently. */
const CHANCE = { low: 1, high: 99 } as const;

const ofCauses = <Field>(fieldOf: (cause: Cause) => Field) =>
  Object.fromEntries(CAUSES.map((cause) => [cause, fieldOf(cause)])) as Record<Cause, Field>;

/** Chances of a line in per cent, by cause; a blank is as usual. */
export const lineForm = z
  .object({
    line: choiceField('Line', [
      ...EVIDENCE.map((name) => `evidence ${name}`),
      ...TESTS.map((name) => `tests ${name}`),
    ]),
    usual: numberField('Other causes', 'percent', {
      ...CHANCE,
      hint: 'From 1 to 99. A 0 would exclude a cause permanently.',
    }),
    ...ofCauses((cause) => optionalNumber(causeOf(cause).words, 'percent', CHANCE)),
  })
  .transform(({ line, usual, ...causes }): { readonly line: LineName; readonly chances: Chances } => {
    const [of, name] = line.split(' ');
    const but = Object.fromEntries(
      Object.entries(causes).flatMap(([cause, chance]) =>
        chance === undefined ? [] : [[cause, chance / 100]],
      ),
    );
    return { line: { of, name } as LineName, chances: { usual: usual / 100, but } };
  });

/** In how many of a hundred failures each cause is it; only their proportion counts. */
export const priorForm = z.object(
  ofCauses((cause) => numberField(causeOf(cause).words, 'number', { low: 0.1, high: 100 })),
);

/** A line as a page names it. */
export const lineNameInput = z.union([
  z.object({ of: z.literal('evidence'), name: z.enum(EVIDENCE) }),
  z.object({ of: z.literal('tests'), name: z.enum(TESTS) }),
  z.object({ of: z.literal('prior') }),
]);
