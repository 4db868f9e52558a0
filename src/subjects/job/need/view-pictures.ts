import { and, asc, eq, isNull } from 'drizzle-orm';
import { createReadStream, existsSync, statSync } from 'node:fs';
import path from 'node:path';
import type { Readable } from 'node:stream';
import { type Db, tables } from '@/store';

export type Picture = typeof tables.pictures.$inferSelect;

export function pictureFolder(folder: string): string {
  return path.join(/* turbopackIgnore: true */ folder, 'pictures');
}

export function pictureName({ hash, type }: Pick<Picture, 'hash' | 'type'>): string {
  return `${hash}.${type}`;
}

export function listPictures(db: Db, jobId: number): Picture[] {
  const { pictures } = tables;
  return db
    .select()
    .from(pictures)
    .where(and(eq(pictures.jobId, jobId), isNull(pictures.removedAt)))
    .orderBy(asc(pictures.id))
    .all();
}

/** Pictures of what came off a run. */
export function listPicturesOfRun(db: Db, runId: number): Picture[] {
  const { pictures } = tables;
  return db
    .select()
    .from(pictures)
    .where(and(eq(pictures.runId, runId), isNull(pictures.removedAt)))
    .orderBy(asc(pictures.id))
    .all();
}

/** A picture's bytes as a stream; undefined when it is not there. */
export function openPicture(
  db: Db,
  folder: string,
  pictureId: number,
): { readonly stream: Readable; readonly bytes: number; readonly type: Picture['type'] } | undefined {
  const row = db.select().from(tables.pictures).where(eq(tables.pictures.id, pictureId)).get();
  if (row === undefined) return undefined;
  const file = path.join(pictureFolder(folder), pictureName(row));
  return existsSync(file)
    ? { stream: createReadStream(file), bytes: statSync(file).size, type: row.type }
    : undefined;
}
