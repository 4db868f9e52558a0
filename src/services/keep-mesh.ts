import { createHash, randomUUID } from 'node:crypto';
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { eq } from 'drizzle-orm';
import { LARGEST_FILE_BYTES } from '@/core/mesh';
import { fail, ok, type Result } from '@/core/result';
import { tables, type Db } from '@/db';

export type KeepIssue =
  | { readonly code: 'emptyFile' }
  | { readonly code: 'tooLarge'; readonly bytes: number; readonly limitBytes: number }
  | { readonly code: 'cutInTransfer'; readonly arrived: number; readonly announced: number };

function meshFolder(folder: string): string {
  const meshes = path.join(/* turbopackIgnore: true */ folder, 'meshes');
  mkdirSync(meshes, { recursive: true });
  return meshes;
}

export function meshPath(folder: string, hash: string): string {
  if (!/^[0-9a-f]{64}$/.test(hash))
    throw new RangeError('meshPath: a hash of 64 hexadecimal digits is needed');
  return path.join(/* turbopackIgnore: true */ meshFolder(folder), `${hash}.stl`);
}

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

export function findMesh(db: Db, hash: string) {
  return db.select().from(tables.meshes).where(eq(tables.meshes.hash, hash)).get();
}

/** The bytes of a kept mesh as a stream with its length; undefined when it is not there. */
export function openMesh(
  folder: string,
  hash: string,
): { readonly stream: Readable; readonly bytes: number } | undefined {
  const file = meshPath(folder, hash);
  return existsSync(file) ? { stream: createReadStream(file), bytes: statSync(file).size } : undefined;
}

export function readMesh(folder: string, hash: string): Promise<Uint8Array> {
  return readFile(meshPath(folder, hash));
}
