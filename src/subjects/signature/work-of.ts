import { keepAnswer } from '@/core/kit';
import { type Db, queries } from '@/store';

/** What each ended run of a printer took of film, light and vat, the oldest first; read once for each state of the log. */
export function workOf(db: Db, printerId: number): readonly queries.Work[] {
  return keepAnswer(db, ['work', printerId, queries.logKey(db)], () => queries.listWork(db, printerId));
}
