import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { LARGEST_PICTURE_BYTES } from '@/core/need';
import { fail, ok, type Result } from '@/core/result';
import { type Db, tables } from '@/store';
import { type Picture, pictureFile } from './view-pictures';
import type { PictureIssue } from './words-issues';

/** The kind of picture by its first bytes; what a name or a browser says is not believed. */
function typeOf(bytes: Uint8Array): Picture['type'] | undefined {
  const starts = (...head: number[]) => head.every((byte, i) => bytes[i] === byte);
  if (starts(0xff, 0xd8, 0xff)) return 'jpg';
  if (starts(0x89, 0x50, 0x4e, 0x47)) return 'png';
  const text = Buffer.from(bytes.subarray(0, 12)).toString('latin1');
  return text.startsWith('RIFF') && text.endsWith('WEBP') ? 'webp' : undefined;
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
