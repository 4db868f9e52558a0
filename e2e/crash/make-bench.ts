import { cpSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expectOk } from '@/core/kit';
import { listOriginals, openBenchAt } from '@/store';
import { restoreBackup, writeBackup } from '@/subjects/workshop/settings';
import { createJob } from '@/subjects/job/jobs';
import { keepPicture } from '@/subjects/job/need';
import { pngOf } from '@/testing/pictures';
import { readyBench } from '@/testing/bench';
import { backupBeside } from './writes';

/** A data folder with a used workshop, one that it replaced, and a backup of a third beside it. */
export async function makeBench(): Promise<string> {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-crash-'));
  const root = path.join(folder, 'data');
  for (const name of ['first', 'second', 'third']) {
    const held = expectOk(openBenchAt(root));
    const opened = expectOk(held.opened);
    const { db, jobId } = name === 'first' ? readyBench(opened.db) : { db: opened.db, jobId: 1 };
    createJob(db, name);
    const bytes = pngOf(100, 50, { grey: name.length + name.charCodeAt(0) });
    expectOk(await keepPicture(db, opened.folder, jobId, { bytes, caption: name }));
    const archive = expectOk(await writeBackup(opened));
    cpSync(archive, backupBeside(root));
    rmSync(path.dirname(archive), { recursive: true });
    // What the backup does not know yet.
    createJob(db, `after ${name}`);
    db.$client.close();
    held.hold.release();
    if (name === 'first')
      expectOk(await restoreBackup(backupBeside(root), root, new Date(Date.UTC(2026, 9, 1))));
    if (name === 'second') mkdirSync(path.join(root, 'kept by hand'), { recursive: true });
  }
  if (listOriginals(root).length !== 1) throw new Error('one bench must have been replaced');
  return root;
}
