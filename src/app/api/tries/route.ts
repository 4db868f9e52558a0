import { after } from 'next/server';
import { bench } from '@/subjects/house';
import { recordTry } from '@/subjects/measure';
import { tryInput } from '@/subjects/measure/shared';
import { readJson } from '../answers';

/** Keeps a word of fit. */
export async function POST(request: Request): Promise<Response> {
  const input = await readJson(request, tryInput);
  if (!input.ok) return input.issue;
  const recorded = recordTry(bench().db, input.value, after);
  return Response.json(recorded);
}
