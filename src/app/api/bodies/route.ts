import { bench } from '@/subjects/workshop/settings';
import { recordBody } from '@/subjects/job/sheets';
import { bodyInput } from '@/subjects/job/sheets/shared';
import { answering, readJson } from '../answers';

/** Takes a reading of the old part or its neighbour. Sending it again stores nothing twice. */
export const POST = answering(async (request: Request) => {
  const input = await readJson(request, bodyInput);
  return input.ok ? Response.json(recordBody(bench().db, input.value)) : input.issue;
});
