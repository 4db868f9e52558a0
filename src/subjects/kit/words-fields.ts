import { quoted } from '@/core/kit/wording';
import type { z } from 'zod';
import { type FieldIssue, type FormFaults, wordsOfField } from './input-fields';
import { describeQuantityIssue } from './words-lengths';

/** What is wrong with a field, and what to do. */
export function describeFieldIssue(issue: FieldIssue, form: z.ZodType): string {
  switch (issue.code) {
    case 'needed':
      return 'this field is empty.';
    case 'tooLong':
      return `longer than ${issue.limit} characters. Shorten it.`;
    case 'outOfRange':
      return `enter a value from ${issue.low} to ${issue.high}${issue.unit === '' ? '' : ` ${issue.unit}`}.`;
    case 'notADay':
      return `“${quoted(issue.text)}” is not a date. Write year, month and day, such as 2026-12-01.`;
    case 'together':
      return `also needs “${wordsOfField(form, issue.other).label}”. Fill in both, or leave both blank.`;
    case 'notAChoice':
      return 'choose one from the list.';
    case 'notNumbers':
      return `“${quoted(issue.text)}” is not a list of numbers. Separate numbers with spaces, such as 10.02 10.01 10.03.`;
    case 'worded':
      return issue.text;
    case 'blank':
    case 'notANumber':
    case 'ambiguousSeparators':
    case 'unknownUnit':
    case 'tooLarge':
      return describeQuantityIssue(issue);
  }
}

/** Everything that is wrong with a form, a sentence a field. */
export function describeFaults(faults: FormFaults, form: z.ZodType): string[] {
  return Object.entries(faults).flatMap(([field, issues]) =>
    issues.map((issue) => `${wordsOfField(form, field).label}: ${describeFieldIssue(issue, form)}`),
  );
}
