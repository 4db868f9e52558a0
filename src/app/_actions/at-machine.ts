import { headers } from 'next/headers';
import { isAtMachine } from '@/subjects/house';
import { AT_MACHINE_WORDS } from '@/subjects/house/shared';
import { type FormAnswer, refused } from '@/subjects/language/shared';

/**
 * An action that is done at the machine itself: a paired device gets the refusal, by whichever page or address it asks.
 * Whoever cannot show the server's mark is not at the machine.
 */
function atMachine<Args extends unknown[], Answer>(
  refusal: () => Answer,
  action: (...args: Args) => Promise<Answer>,
) {
  return async (...args: Args): Promise<Answer> =>
    isAtMachine(await headers()) ? action(...args) : refusal();
}

/** An action of a form that is done at the machine itself. */
export const formAtMachine = <Args extends unknown[]>(action: (...args: Args) => Promise<FormAnswer>) =>
  atMachine(() => refused(AT_MACHINE_WORDS), action);

/** An action behind a button that is done at the machine itself; it answers with a sentence. */
export const tapAtMachine = <Args extends unknown[], Answer>(
  action: (...args: Args) => Promise<Answer | string>,
) => atMachine<Args, Answer | string>(() => AT_MACHINE_WORDS, action);
