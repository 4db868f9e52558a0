import { parseArgs } from 'node:util';
import { parseLength } from '@/core/metrology';
import { describeQuantityIssue } from '@/subjects/language/shared';
import { UsageError, valueOrRefuse } from './usage-error';

export interface Arguments {
  readonly positionals: readonly string[];
  readonly options: Readonly<Record<string, string | boolean | undefined>>;
}

/** Parses one command's words; unknown options and missing values are refused in a sentence. */
export function parseArguments(words: readonly string[], allowed: readonly string[]): Arguments {
  const options = Object.fromEntries(
    allowed.map((name) => [name, { type: name === 'json' ? 'boolean' : 'string' } as const]),
  );
  try {
    const { values, positionals } = parseArgs({
      args: [...words],
      options: { ...options, output: { type: 'string', short: 'o' } },
      allowPositionals: true,
    });
    return { positionals, options: values as Arguments['options'] };
  } catch (error) {
    throw new UsageError(
      (error as Error).message.split('. ')[0] +
        `. Known here: ${allowed.map((name) => `--${name}`).join(', ')}.`,
    );
  }
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

export function onePath({ positionals }: Arguments, command: string): string {
  if (positionals.length !== 1)
    throw new UsageError(`${command} takes one file; ${positionals.length} were given.`);
  return positionals[0];
}

/** A number that must be given, at least `least`; zero is allowed where least is. */
export function neededNumber(given: Arguments, name: string, least = Number.MIN_VALUE): number {
  const text = textOption(given, name);
  if (text === undefined) throw new UsageError(`--${name} is missing. Give a number.`);
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
