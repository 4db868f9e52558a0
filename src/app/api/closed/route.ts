import { benchTrouble } from '@/subjects/workshop/settings';
import { describeBenchTrouble } from '@/subjects/workshop/settings/shared';
import { answering, refusal } from '../answers';

/** Answer in place of every other route while the workshop cannot be opened. */
function sayWhy(): Response {
  const trouble = benchTrouble();
  return trouble === undefined
    ? refusal('Nothing found at this address.', 404)
    : refusal(describeBenchTrouble(trouble), 503);
}

export const GET = answering(sayWhy);
export const POST = answering(sayWhy);
