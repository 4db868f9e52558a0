import { closeSync, fsyncSync, openSync, renameSync, writeSync } from 'node:fs';
import path from 'node:path';

/** Files and folders that are being imported or removed have this prefix; the next start removes leftovers. */
export const ARRIVING = 'arriving-';

export const GOING = 'going-';

/** Waits until a file's bytes, or a folder's names, are on the disk. */
export function syncPath(place: string): void {
  const handle = openSync(place, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** Gives a file or folder its final name at once, and makes the name last. */
export function moveTo(from: string, to: string): void {
  renameSync(from, to);
  syncPath(path.dirname(to));
}

/** Puts a text in a file's place: whoever looks, and whatever happens, finds the old one or the new one whole. */
export function replaceFile(file: string, text: string): void {
  const arriving = path.join(path.dirname(file), `${ARRIVING}${path.basename(file)}`);
  const handle = openSync(arriving, 'w');
  try {
    writeSync(handle, text);
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
  moveTo(arriving, file);
}
