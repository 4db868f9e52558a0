import { headers } from 'next/headers';
import { isAtMachine } from '@/subjects/workshop/settings';
import { AT_MACHINE_WORDS } from '@/subjects/workshop/settings/shared';
import { type FormAnswer, refused } from '@/subjects/kit/shared';

/**
 * An action that only the server's own computer may run: a paired device gets the refusal, from any page or address. A
 * request without the server's mark is not from that computer.
 */
function atMachine<Args extends unknown[], Answer>(
  refusal: () => Answer,
  action: (...args: Args) => Promise<Answer>,
) {
  return async (...args: Args): Promise<Answer> =>
    isAtMachine(await headers()) ? action(...args) : refusal();
}

/** A form action that only the server's own computer may run. */
export const formAtMachine = <Args extends unknown[]>(action: (...args: Args) => Promise<FormAnswer>) =>
  atMachine(() => refused(AT_MACHINE_WORDS), action);

/** A button action that only the server's own computer may run; it answers with a sentence. */
export const tapAtMachine = <Args extends unknown[], Answer>(
  action: (...args: Args) => Promise<Answer | string>,
) => atMachine<Args, Answer | string>(() => AT_MACHINE_WORDS, action);
