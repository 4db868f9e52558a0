import { recordGapStep } from '@/subjects/fit/gauges';
import { gapStepInput } from '@/subjects/fit/gauges/shared';
import { bench } from '@/subjects/workshop/settings';
import { answering, readJson } from '../answers';

/** Stores what the hand found at a step. Sending it again stores nothing twice. */
export const POST = answering(async (request: Request) => {
  const input = await readJson(request, gapStepInput);
  if (!input.ok) return input.issue;
  const { jobId, ...rung } = input.value;
  return Response.json(recordGapStep(bench().db, rung, jobId));
});
