import { createReadStream, createWriteStream, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { bench, restoreBackup, writeBackup } from '@/subjects/house';
import { describeRestoreIssue } from '@/subjects/house/shared';
import { download, refusal } from '../answers';

/** The whole bench in one file. */
export async function GET(): Promise<Response> {
  const { db, folder } = bench();
  const file = await writeBackup(db, folder);
  const stream = createReadStream(file);
  stream.on('close', () => rmSync(path.dirname(file), { recursive: true, force: true }));
  return new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: {
      'Content-Type': 'application/gzip',
      'Content-Length': String(statSync(file).size),
      ...download('bench-backup.tar.gz'),
    },
  });
}

/** Puts a backup in the bench's place. */
export async function POST(request: Request): Promise<Response> {
  if (request.body === null) return refusal(describeRestoreIssue({ code: 'notABackup' }), 400);
  const arriving = mkdtempSync(path.join(tmpdir(), 'mellow-restore-'));
  try {
    const archive = path.join(arriving, 'backup.tar.gz');
    await pipeline(Readable.fromWeb(request.body as NodeStream), createWriteStream(archive));
    const restored = await restoreBackup(archive, bench().folder);
    if (!restored.ok) return refusal(describeRestoreIssue(restored.issue), 400);
    return Response.json({ message: 'The backup is in place; what was here before lies in before-restore.' });
  } finally {
    rmSync(arriving, { recursive: true, force: true });
  }
}
