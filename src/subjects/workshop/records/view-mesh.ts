import { eq } from 'drizzle-orm';
import { createReadStream, existsSync, statSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { Readable } from 'node:stream';
import { type Db, tables } from '@/store';

export function meshFolder(folder: string): string {
  return path.join(/* turbopackIgnore: true */ folder, 'meshes');
}

export function meshPath(folder: string, hash: string): string {
  if (!/^[0-9a-f]{64}$/.test(hash))
    throw new RangeError('meshPath: a hash of 64 hexadecimal digits is needed');
  return path.join(/* turbopackIgnore: true */ meshFolder(folder), `${hash}.stl`);
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
