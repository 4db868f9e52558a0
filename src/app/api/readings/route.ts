import { after } from 'next/server';
import { bench } from '@/subjects/workshop/settings';
import { recordReading } from '@/subjects/measure/readings';
import { readingInput } from '@/subjects/measure/readings/shared';
import { answering, readJson } from '../answers';

/** Takes one reading; the answer is sent when it is on disk. Sending it again stores nothing twice. */
export const POST = answering(async (request: Request) => {
  const input = await readJson(request, readingInput);
  if (!input.ok) return input.issue;
  return Response.json(recordReading(bench().db, input.value, after));
});
