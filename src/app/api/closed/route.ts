import { benchTrouble } from '@/subjects/house';
import { describeBenchTrouble } from '@/subjects/house/shared';
import { answering, refusal } from '../answers';

/** What the server answers in place of every other interface while the bench cannot be opened. */
function sayWhy(): Response {
  const trouble = benchTrouble();
  return trouble === undefined
    ? refusal('There is nothing at this address.', 404)
    : refusal(describeBenchTrouble(trouble), 503);
}

export const GET = answering(sayWhy);
export const POST = answering(sayWhy);
