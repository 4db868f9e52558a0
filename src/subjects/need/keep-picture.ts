import { Readable } from 'node:stream';
import { LARGEST_PICTURE_BYTES } from '@/core/need';
import { fail, ok, type Result } from '@/core/result';
import { type Db, queries, tables } from '@/store';
import { keepFile } from '@/subjects/records';
import { type Picture, pictureFolder, pictureName } from './view-pictures';
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
export async function keepPicture(
  db: Db,
  folder: string,
  jobId: number,
  picture: { readonly bytes: Uint8Array; readonly caption: string; readonly runId?: number },
): Promise<Result<number, PictureIssue>> {
  const { bytes, caption, runId } = picture;
  const tooLarge = {
    code: 'pictureTooLarge',
    bytes: bytes.length,
    limitBytes: LARGEST_PICTURE_BYTES,
  } as const;
  if (bytes.length > LARGEST_PICTURE_BYTES) return fail(tooLarge);
  const type = typeOf(bytes);
  if (type === undefined) return fail({ code: 'notAPicture' });
  const isGone = queries.findJob(db, jobId) === undefined;
  if (isGone || (runId !== undefined && queries.findRun(db, runId) === undefined))
    return fail({ code: 'gone' });
  const arriving = { body: Readable.from([bytes]), limitBytes: LARGEST_PICTURE_BYTES };
  const kept = await keepFile<never>(pictureFolder(folder), arriving, ({ hash }) =>
    ok(pictureName({ hash, type })),
  );
  if (!kept.ok) return fail(kept.issue.code === 'tooLarge' ? tooLarge : { code: 'notAPicture' });
  const row = db
    .insert(tables.pictures)
    .values({ jobId, runId, hash: kept.value.hash, type, caption, addedAt: new Date() })
    .returning()
    .get();
  return ok(row.id);
}
