import { after } from 'next/server';
import { bench } from '@/subjects/workshop/settings';
import { recordTry } from '@/subjects/measure/readings';
import { tryInput } from '@/subjects/measure/readings/shared';
import { answering, readJson } from '../answers';

/** Keeps a word of fit. */
export const POST = answering(async (request: Request) => {
  const input = await readJson(request, tryInput);
  if (!input.ok) return input.issue;
  return Response.json(recordTry(bench().db, input.value, after));
});
