import { after } from 'next/server';
import { bench } from '@/subjects/house';
import { recordReading } from '@/subjects/measure';
import { readingInput } from '@/subjects/measure/shared';
import { readJson } from '../answers';

/** Takes one reading; the answer is sent when it is on disk. Sending it again stores nothing twice. */
export async function POST(request: Request): Promise<Response> {
  const input = await readJson(request, readingInput);
  if (!input.ok) return input.issue;
  const recorded = recordReading(bench().db, input.value, after);
  return Response.json(recorded);
}
