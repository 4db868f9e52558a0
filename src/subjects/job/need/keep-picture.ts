import { Readable } from 'node:stream';
import { LARGEST_PICTURE_BYTES, readPicture } from '@/core/job/need';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { keepFile } from '@/subjects/workshop/records';
import { pictureFolder, pictureName } from './view-pictures';
import type { PictureIssue } from './words-issues';

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
  const found = readPicture(bytes);
  if (!found.ok) return fail({ code: found.code });
  const { type } = found;
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
