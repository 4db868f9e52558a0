import { LARGEST_FILE_BYTES } from '@/core/part/mesh';
import { ok, type Result } from '@/core/kit';
import { type Db, tables } from '@/store';
import { keepFile } from './keep-file';
import { meshFolder } from './view-mesh';
import type { KeepIssue } from './words-keep';

/** Keeps a part’s file under the hash of its bytes, and answers with that. */
export async function keepMesh(
  db: Db,
  folder: string,
  file: { readonly name: string; readonly body: AsyncIterable<Uint8Array>; readonly announced?: number },
): Promise<Result<string, KeepIssue>> {
  const arriving = { ...file, limitBytes: LARGEST_FILE_BYTES };
  const kept = await keepFile<never>(meshFolder(folder), arriving, ({ hash }) => ok(`${hash}.stl`));
  if (!kept.ok) return kept;
  const { hash, bytes } = kept.value;
  db.insert(tables.meshes)
    .values({ hash, name: file.name, bytes, createdAt: new Date() })
    .onConflictDoNothing()
    .run();
  return ok(hash);
}
