import { and, eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';

/** Puts a picture of the job away; its bytes stay, other jobs may show it too. */
export function putPictureAway(db: Db, jobId: number, pictureId: number): void {
  const { pictures } = tables;
  db.update(pictures)
    .set({ removedAt: new Date() })
    .where(and(eq(pictures.id, pictureId), eq(pictures.jobId, jobId)))
    .run();
}
