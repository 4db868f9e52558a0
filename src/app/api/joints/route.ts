import { recordJoint } from '@/subjects/fit/mating';
import { jointFoundInput } from '@/subjects/fit/mating/shared';
import { bench } from '@/subjects/workshop/settings';
import { answering, readJson } from '../answers';

/** Keeps what the hand found at a joint printed in place. Sending it again stores nothing twice. */
export const POST = answering(async (request: Request) => {
  const input = await readJson(request, jointFoundInput);
  if (!input.ok) return input.issue;
  const { jobId, ...found } = input.value;
  return Response.json(recordJoint(bench().db, jobId, found));
});
