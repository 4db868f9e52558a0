import { createReadStream, createWriteStream, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import {
  benchTrouble,
  examineBench,
  arrivingFolder,
  bench,
  reopenBench,
  restoreBackup,
  viewOriginals,
  writeBackup,
} from '@/subjects/workshop/settings';
import { describeBenchTrouble, describeRestoreIssue } from '@/subjects/workshop/settings/shared';
import { answeringAtMachine, bodyOf, download, refusal } from '../answers';

/** Years of a shop's work, its parts included. */
const LARGEST_BACKUP_BYTES = 64 * 1024 ** 3;

/** The whole bench in one file; a damaged or newer one is refused in words. */
export const GET = answeringAtMachine(async (request: Request) => {
  const isAsked = new URL(request.url).searchParams.has('check');
  const trouble = isAsked ? examineBench() : benchTrouble();
  if (trouble !== undefined) return refusal(describeBenchTrouble(trouble), 409);
  if (isAsked) return Response.json({ message: 'The workshop has no errors.' });
  const written = await writeBackup(bench());
  if (!written.ok) return refusal(describeBenchTrouble(written.issue), 409);
  const file = written.value;
  const stream = createReadStream(file);
  stream.on('close', () => rmSync(path.dirname(file), { recursive: true, force: true }));
  return new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: {
      'Content-Type': 'application/gzip',
      'Content-Length': String(statSync(file).size),
      ...download('bench-backup.tar.gz'),
    },
  });
});

/** Ends a body that is longer than any backup. */
async function* upToLimit(body: AsyncIterable<Uint8Array>) {
  let bytes = 0;
  for await (const chunk of body) {
    bytes += chunk.length;
    if (bytes > LARGEST_BACKUP_BYTES) throw new RangeError('larger than the limit for a backup');
    yield chunk;
  }
}

/** Replaces the workshop by a backup. It needs nothing of the present workshop. */
export const POST = answeringAtMachine(async (request: Request) => {
  const body = bodyOf(request);
  if (body === undefined) return refusal(describeRestoreIssue({ code: 'notABackup' }), 400);
  const { root } = viewOriginals();
  const arriving = arrivingFolder(root);
  try {
    const archive = path.join(arriving, 'backup.tar.gz');
    await pipeline(body, upToLimit, createWriteStream(archive));
    const restored = await restoreBackup(archive, root);
    if (!restored.ok) return refusal(describeRestoreIssue(restored.issue), 400);
    reopenBench();
    return Response.json({
      message: 'The backup was restored. The previous workshop is kept and listed in Settings.',
    });
  } catch (error) {
    if (error instanceof RangeError)
      return refusal(describeRestoreIssue({ code: 'tooLarge', limitBytes: LARGEST_BACKUP_BYTES }), 413);
    throw error;
  } finally {
    rmSync(arriving, { recursive: true, force: true });
  }
});
