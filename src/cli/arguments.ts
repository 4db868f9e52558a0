import { parseLength } from '@/core/measure';
import { describeQuantityIssue } from '@/subjects/kit/shared';
import { UsageError, valueOrRefuse } from './usage-error';

/** What a command was given: its arguments in order, and its options by their long name. */
export interface Arguments {
  readonly positionals: readonly string[];
  readonly options: Readonly<Record<string, string | boolean | undefined>>;
}

export function textOption({ options }: Arguments, name: string): string | undefined {
  const value = options[name];
  return typeof value === 'string' ? value : undefined;
}

/** A positive number given as an option, or its default. */
export function numberOption(given: Arguments, name: string, fallback: number): number {
  const text = textOption(given, name);
  if (text === undefined) return fallback;
  const { valueMm } = valueOrRefuse(
    parseLength(text),
    (issue) => `--${name}: ${describeQuantityIssue(issue)}`,
  );
  if (!(valueMm > 0)) throw new UsageError(`--${name}: ${text} must be above zero.`);
  return valueMm;
}

/** A number that must be given, at least `least`; zero is allowed where least is. */
export function neededNumber(given: Arguments, name: string, least = Number.MIN_VALUE): number {
  const text = textOption(given, name);
  if (text === undefined) throw new UsageError(`--${name} is missing. Enter a number.`);
  const { valueMm } = valueOrRefuse(
    parseLength(text),
    (issue) => `--${name}: ${describeQuantityIssue(issue)}`,
  );
  if (!(valueMm >= least))
    throw new UsageError(
      `--${name}: ${text} must be ${least === Number.MIN_VALUE ? 'above zero' : `at least ${least}`}.`,
    );
  return valueMm;
}
