import type { z } from 'zod';
import { type FieldIssue, type FormFaults, wordsOfField } from './input-fields';
import { describeQuantityIssue } from './words-lengths';
import { quoted } from './words-quoted';

/** What is wrong with a field, and how to mend it. */
export function describeFieldIssue(issue: FieldIssue, form: z.ZodType): string {
  switch (issue.code) {
    case 'needed':
      return 'nothing typed yet.';
    case 'tooLong':
      return `longer than ${issue.limit} characters. Say it shorter.`;
    case 'outOfRange':
      return `must lie between ${issue.low} and ${issue.high}${issue.unit === '' ? '' : ` ${issue.unit}`}.`;
    case 'notADay':
      return `“${quoted(issue.text)}” is no day. Write year, month and day, such as 2026-12-01.`;
    case 'together':
      return `goes together with “${wordsOfField(form, issue.other).label}”: give both, or leave both blank.`;
    case 'notAChoice':
      return 'choose one of the list.';
    case 'notNumbers':
      return `“${quoted(issue.text)}” is no list of numbers. Part them with spaces, such as 10.02 10.01 10.03.`;
    case 'worded':
      return issue.text;
    default:
      return describeQuantityIssue(issue);
  }
}

/** Everything that is wrong with a form, a sentence a field. */
export function describeFaults(faults: FormFaults, form: z.ZodType): string[] {
  return Object.entries(faults).flatMap(([field, issues]) =>
    issues.map((issue) => `${wordsOfField(form, field).label}: ${describeFieldIssue(issue, form)}`),
  );
}
