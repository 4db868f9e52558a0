import { bench } from '@/subjects/workshop/settings';
import { answerOnce } from '@/subjects/workshop/records';
import { isTapKey } from './from-page';

/**
 * An action behind a button. Its page sends the key of the tap first: sent again with the same key, it gives its first
 * answer and does nothing.
 *
 * @param name its own, so that a key counts for this action alone.
 * @param unread what is answered where no key came.
 * @param work does it and answers; it may neither wait nor go on to another page.
 */
export function tap<Args extends unknown[], Answer>(
  name: string,
  unread: Answer,
  work: (...args: Args) => Answer,
) {
  return async (tapKey: string, ...args: Args): Promise<Answer> =>
    isTapKey(tapKey)
      ? answerOnce(
          () => bench().db,
          `${name} ${tapKey}`,
          () => work(...args),
        )
      : unread;
}
