import { recordGapStep } from '@/subjects/gauge';
import { gapStepInput } from '@/subjects/gauge/shared';
import { bench } from '@/subjects/house';
import { answering, readJson } from '../answers';

/** Stores what the hand found at a step. Sending it again stores nothing twice. */
export const POST = answering(async (request: Request) => {
  const input = await readJson(request, gapStepInput);
  if (!input.ok) return input.issue;
  const { jobId, ...rung } = input.value;
  return Response.json(recordGapStep(bench().db, rung, jobId));
});
