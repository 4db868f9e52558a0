import { z } from 'zod';
import { deleteOriginal, putOriginalBack, reopenBench, viewOriginals } from '@/subjects/workshop/settings';
import { describeOriginalIssue } from '@/subjects/workshop/settings/shared';
import { answeringAtMachine, readJson, refusal } from '../answers';

const wantedInput = z.object({ folder: z.string().max(100), wish: z.enum(['putBack', 'delete']) });

/** Puts a replaced workshop in use again, or deletes it permanently. It needs nothing of the workshop in use. */
export const POST = answeringAtMachine(async (request: Request) => {
  const input = await readJson(request, wantedInput);
  if (!input.ok) return input.issue;
  const { folder, wish } = input.value;
  const { root } = viewOriginals();
  const answer = wish === 'putBack' ? putOriginalBack(root, folder) : deleteOriginal(root, folder);
  if (!answer.ok) return refusal(describeOriginalIssue(answer.issue), 409);
  if (wish === 'putBack') reopenBench();
  return Response.json({ message: wish === 'putBack' ? 'That workshop is in use again.' : 'Deleted.' });
});
