import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { LARGEST_FILE_BYTES } from '@/core/mesh';
import { fail, ok, type Result } from '@/core/result';
import { type Db, tables } from '@/store';
import { meshFolder, meshPath } from './view-mesh';
import type { KeepIssue } from './words-keep';

class TooLarge extends Error {}

/** Streams a file to disk under the hash of its bytes; nothing half-written is ever found under a name. */
export async function keepMesh(
  db: Db,
  folder: string,
  file: { readonly name: string; readonly body: Readable; readonly announced?: number },
): Promise<Result<string, KeepIssue>> {
  if ((file.announced ?? 0) > LARGEST_FILE_BYTES) {
    return fail({ code: 'tooLarge', bytes: file.announced!, limitBytes: LARGEST_FILE_BYTES });
  }
  const arriving = path.join(/* turbopackIgnore: true */ meshFolder(folder), `arriving-${randomUUID()}`);
  const hash = createHash('sha256');
  let bytes = 0;
  const count = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      hash.update(chunk);
      done(bytes > LARGEST_FILE_BYTES ? new TooLarge() : null, chunk);
    },
  });
  try {
    await pipeline(file.body, count, createWriteStream(arriving));
  } catch (error) {
    rmSync(arriving, { force: true });
    if (error instanceof TooLarge) return fail({ code: 'tooLarge', bytes, limitBytes: LARGEST_FILE_BYTES });
    throw error;
  }
  const announced = file.announced ?? bytes;
  if (bytes === 0 || bytes !== announced) {
    rmSync(arriving, { force: true });
    return fail(bytes === 0 ? { code: 'emptyFile' } : { code: 'cutInTransfer', arrived: bytes, announced });
  }
  const name = hash.digest('hex');
  renameSync(arriving, meshPath(folder, name));
  db.insert(tables.meshes)
    .values({ hash: name, name: file.name, bytes, createdAt: new Date() })
    .onConflictDoNothing()
    .run();
  return ok(name);
}
