import { existsSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ARRIVING, GOING } from './disk';
import { type BenchMark, currentFolder, FILE_FOLDERS } from './mark';

/** Marks an imported workshop until it is in place: a start may then remove it. */
export const NOT_YET_IN_PLACE = '.not-yet-in-place';

/** What older versions called folders on their way in. */
const ARRIVED_ONCE = 'restoring-';

const isLeftover = (name: string) => [ARRIVING, GOING, ARRIVED_ONCE].some((start) => name.startsWith(start));

function namesIn(folder: string): string[] {
  return existsSync(folder) ? readdirSync(folder) : [];
}

/** Takes away what interrupted uploads, backups and restores left; nothing that ever was in use is touched. */
export function tidyLeftovers(root: string, mark: BenchMark | undefined): void {
  const current = currentFolder(root, mark);
  for (const folder of [root, current, ...FILE_FOLDERS.map((name) => path.join(current, name))])
    for (const name of namesIn(folder).filter(isLeftover))
      rmSync(path.join(folder, name), { recursive: true, force: true });
  const benches = path.join(/* turbopackIgnore: true */ root, 'benches');
  for (const name of namesIn(benches)) {
    const flag = path.join(benches, name, NOT_YET_IN_PLACE);
    if (!existsSync(flag)) continue;
    if (path.join(benches, name) === current) rmSync(flag);
    else rmSync(path.join(benches, name), { recursive: true });
  }
}
