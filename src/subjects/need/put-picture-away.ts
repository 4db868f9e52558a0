import { eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';

export function putPictureAway(db: Db, pictureId: number): void {
  db.update(tables.pictures).set({ removedAt: new Date() }).where(eq(tables.pictures.id, pictureId)).run();
}
