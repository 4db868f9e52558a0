import { eq } from 'drizzle-orm';
import type { Stance } from '@/core/findings';
import { type Db, tables } from '@/store';
import { noteLedger } from '@/subjects/records';

const STANCE_WORDS: Readonly<Record<Stance['kind'], string>> = {
  plate: 'flat on the plate',
  supports: 'on supports',
  inFile: 'on the supports in its file',
};

/** Says how the part will stand; what was found of it standing otherwise does not count any more. */
export function setStance(db: Db, jobId: number, stance: Stance): void {
  db.update(tables.jobs).set({ stance }).where(eq(tables.jobs.id, jobId)).run();
  const lift = stance.kind === 'supports' ? ` of ${stance.liftMm} mm` : '';
  noteLedger(db, jobId, 'check', `Stands ${STANCE_WORDS[stance.kind]}${lift}`, 'asked before judging');
}
