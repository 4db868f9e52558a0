import { readFileSync, statSync } from 'node:fs';
import { LARGEST_FILE_BYTES } from '@/core/part/mesh';
import { decodeText } from '@/subjects/kit/shared';
import { UsageError } from './usage-error';

export function readBytes(path: string): Uint8Array {
  const stats = statSync(path, { throwIfNoEntry: false });
  if (stats === undefined) throw new UsageError(`${path}: no such file. Check the name and the folder.`);
  if (stats.isDirectory()) throw new UsageError(`${path}: this is a folder. Enter a file in it.`);
  if (stats.size > LARGEST_FILE_BYTES)
    throw new UsageError(`${path}: more than 300 MB. Export it with a coarser mesh.`);
  return readFileSync(path);
}

export function readText(path: string): string {
  return decodeText(readBytes(path));
}
