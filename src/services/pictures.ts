import { createHash } from 'node:crypto';
import { createReadStream, existsSync, mkdirSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Readable } from 'node:stream';
import { and, asc, eq, isNull } from 'drizzle-orm';
import { LARGEST_PICTURE_BYTES } from '@/core/need';
import { fail, ok, type Result } from '@/core/result';
import { tables, type Db } from '@/db';

export type Picture = typeof tables.pictures.$inferSelect;

export type PictureIssue =
  | { readonly code: 'notAPicture' }
  | { readonly code: 'pictureTooLarge'; readonly bytes: number; readonly limitBytes: number };

/** The kind of picture by its first bytes; what a name or a browser says is not believed. */
function typeOf(bytes: Uint8Array): Picture['type'] | undefined {
  const starts = (...head: number[]) => head.every((byte, i) => bytes[i] === byte);
  if (starts(0xff, 0xd8, 0xff)) return 'jpg';
  if (starts(0x89, 0x50, 0x4e, 0x47)) return 'png';
  const text = Buffer.from(bytes.subarray(0, 12)).toString('latin1');
  return text.startsWith('RIFF') && text.endsWith('WEBP') ? 'webp' : undefined;
}

function pictureFile(folder: string, { hash, type }: Pick<Picture, 'hash' | 'type'>): string {
  return path.join(/* turbopackIgnore: true */ folder, 'pictures', `${hash}.${type}`);
}

/** Keeps a photo or sketch with a job, its bytes beside the database under their hash. */
export function keepPicture(
  db: Db,
  folder: string,
  jobId: number,
  picture: { readonly bytes: Uint8Array; readonly caption: string },
): Result<number, PictureIssue> {
  const { bytes, caption } = picture;
  if (bytes.length > LARGEST_PICTURE_BYTES)
    return fail({ code: 'pictureTooLarge', bytes: bytes.length, limitBytes: LARGEST_PICTURE_BYTES });
  const type = typeOf(bytes);
  if (type === undefined) return fail({ code: 'notAPicture' });
  const hash = createHash('sha256').update(bytes).digest('hex');
  const file = pictureFile(folder, { hash, type });
  mkdirSync(path.dirname(file), { recursive: true });
  if (!existsSync(file)) writeFileSync(file, bytes);
  const row = db
    .insert(tables.pictures)
    .values({ jobId, hash, type, caption, addedAt: new Date() })
    .returning()
    .get();
  return ok(row.id);
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

export function putPictureAway(db: Db, pictureId: number): void {
  db.update(tables.pictures).set({ removedAt: new Date() }).where(eq(tables.pictures.id, pictureId)).run();
}

/** A picture's bytes as a stream; undefined when it is not there. */
export function openPicture(
  db: Db,
  folder: string,
  pictureId: number,
): { readonly stream: Readable; readonly bytes: number; readonly type: Picture['type'] } | undefined {
  const row = db.select().from(tables.pictures).where(eq(tables.pictures.id, pictureId)).get();
  if (row === undefined) return undefined;
  const file = pictureFile(folder, row);
  return existsSync(file)
    ? { stream: createReadStream(file), bytes: statSync(file).size, type: row.type }
    : undefined;
}
