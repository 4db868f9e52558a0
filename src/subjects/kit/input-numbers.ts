import { z } from 'zod';
import { LARGEST_NUMBER } from '@/core/measure';

/** A text without control characters, line ends among them. */
export function oneLine(text: string): string {
  return text.replace(/[\u0000-\u001f\u007f]+/g, ' ');
}

/** A text of one line as a file or a page sends it, no white space around it. */
export const line = (limit: number, least = 0) =>
  z
    .string()
    .transform((text) => oneLine(text).trim())
    .pipe(z.string().min(least).max(limit));

/** A number as a file or a page sends it; what no quantity can be is refused. */
export const finite = z.number().min(-LARGEST_NUMBER).max(LARGEST_NUMBER);

/** Whether a text is a day of the calendar: the 31st of February would be read as one of March. */
export function isDay(text: string): boolean {
  const day = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(`${text}T`);
}

/** A day as a file sends it, YYYY-MM-DD. */
export const day = z.string().refine(isDay, 'not a valid date, such as 2026-12-01');
