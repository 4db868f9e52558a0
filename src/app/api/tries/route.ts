import { revalidatePath } from 'next/cache';
import { tryInput } from '@/inputs';
import { bench } from '@/services/bench';
import { recordTry } from '@/services/take-readings';
import { findStranger, readJson } from '../guard';

/** Keeps a word of fit. */
export async function POST(request: Request): Promise<Response> {
  const stranger = findStranger(request);
  if (stranger !== undefined) return stranger;
  const input = await readJson(request, tryInput);
  if (!input.ok) return input.issue;
  const recorded = recordTry(bench().db, input.value);
  if (recorded.ok) revalidatePath('/', 'layout');
  return Response.json(recorded);
}
