import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { fail, ok, type Result } from '@/core/kit';
import { ARRIVING, moveTo, syncPath } from '@/store';
import type { KeepIssue } from './words-keep';

class TooLarge extends Error {}

interface Arriving {
  readonly body: AsyncIterable<Uint8Array>;
  /** Length that the sender named, bytes. */
  readonly announced?: number;
  readonly limitBytes: number;
}

interface Arrived {
  readonly hash: string;
  readonly bytes: number;
}

/** Counts and hashes what passes; ends it beyond the limit. */
function gauge(limitBytes: number) {
  const hash = createHash('sha256');
  const seen = { bytes: 0 };
  const stream = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      seen.bytes += chunk.length;
      hash.update(chunk);
      done(seen.bytes > limitBytes ? new TooLarge() : null, chunk);
    },
  });
  return { stream, read: (): Arrived => ({ hash: hash.digest('hex'), bytes: seen.bytes }), seen };
}

/**
 * Streams a file into a folder under the hash of its bytes. It gets its name only when it is complete and on the disk;
 * an existing file with that name, complete or not, is replaced. `nameOf` returns the name of the file, or why it is
 * not stored.
 */
export async function keepFile<Issue>(
  folder: string,
  { body, announced, limitBytes }: Arriving,
  nameOf: (arrived: Arrived) => Result<string, Issue>,
): Promise<Result<Arrived, KeepIssue | Issue>> {
  if ((announced ?? 0) > limitBytes) return fail({ code: 'tooLarge', bytes: announced!, limitBytes });
  mkdirSync(folder, { recursive: true });
  const arriving = path.join(/* turbopackIgnore: true */ folder, `${ARRIVING}${randomUUID()}`);
  const { stream, read, seen } = gauge(limitBytes);
  try {
    await pipeline(body, stream, createWriteStream(arriving));
    const arrived = read();
    if (arrived.bytes === 0) return fail({ code: 'emptyFile' });
    if (announced !== undefined && arrived.bytes !== announced)
      return fail({ code: 'cutInTransfer', arrived: arrived.bytes, announced });
    const name = nameOf(arrived);
    if (!name.ok) return name;
    syncPath(arriving);
    moveTo(arriving, path.join(/* turbopackIgnore: true */ folder, name.value));
    return ok(arrived);
  } catch (error) {
    if (error instanceof TooLarge) return fail({ code: 'tooLarge', bytes: seen.bytes, limitBytes });
    if (cutOff(error)) return fail({ code: 'cutInTransfer', arrived: seen.bytes, announced: announced ?? 0 });
    throw error;
  } finally {
    rmSync(arriving, { force: true });
  }
}

/** The sender went away in the middle. */
function cutOff(error: unknown): boolean {
  const { code, name } = error as NodeJS.ErrnoException;
  return name === 'AbortError' || ['ECONNRESET', 'ERR_STREAM_PREMATURE_CLOSE'].includes(code ?? '');
}
