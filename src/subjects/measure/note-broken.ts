import { eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';

/** Notes what of a print came off broken; what can still be read or tried of it goes on counting. */
export function noteBroken(db: Db, printId: number, brokenNote: string): void {
  db.update(tables.prints).set({ brokenNote }).where(eq(tables.prints.id, printId)).run();
}
