import { spawnSync } from 'node:child_process';
import { closeSync, fsyncSync, mkdtempSync, openSync, rmSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

function asRoot(...words: readonly string[]): void {
  const all = process.getuid?.() === 0 ? words : ['sudo', '-n', ...words];
  const { status, stderr } = spawnSync(all[0], all.slice(1), { encoding: 'utf8' });
  if (status !== 0)
    throw new Error(`${all.join(' ')}: ${stderr}. A small disk takes the right to mount one.`);
}

/** A file system of its own in memory, of so many megabytes. */
export interface SmallDisk {
  readonly folder: string;
  /** Takes all the space that is left. */
  fill(): void;
  /** Gives it back. */
  free(): void;
  makeReadOnly(): void;
  end(): void;
}

export function mountSmallDisk(megabytes: number): SmallDisk {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-disk-'));
  asRoot('mount', '-t', 'tmpfs', '-o', `size=${megabytes}m,mode=777`, 'tmpfs', folder);
  const filler = path.join(folder, 'filler');
  return {
    folder,
    fill() {
      const handle = openSync(filler, 'a');
      for (let size = 65_536; size >= 1; size = Math.floor(size / 2)) {
        try {
          for (;;) writeSync(handle, Buffer.alloc(size));
        } catch (error) {
          if ((error as NodeJS.ErrnoException).code !== 'ENOSPC') throw error;
        }
      }
      fsyncSync(handle);
      closeSync(handle);
    },
    free: () => rmSync(filler, { force: true }),
    makeReadOnly: () => asRoot('mount', '-o', 'remount,ro', folder),
    end() {
      asRoot('umount', '-l', folder);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
