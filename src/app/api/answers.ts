import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import type { z } from 'zod';
import { fail, ok, type Result } from '@/core/kit';
import { isAtMachine, storageTroubleOf } from '@/subjects/workshop/settings';
import { AT_MACHINE_WORDS, describeBytes, describeStorageTrouble } from '@/subjects/workshop/settings/shared';
import { decodeText } from '@/subjects/kit/shared';

/** One JSON sentence with a status. */
export function refusal(message: string, status: number): Response {
  return Response.json({ message }, { status });
}

/** What keeps a handler from the disk, in a sentence; an error of another kind goes on. */
export function wordsOfTrouble(error: unknown): string {
  const trouble = storageTroubleOf(error);
  if (trouble === undefined) throw error;
  return describeStorageTrouble(trouble);
}

type Handler<Rest extends unknown[]> = (request: Request, ...rest: Rest) => Response | Promise<Response>;

const bodies = new WeakMap<Request, Readable>();

/** The body of a request as a stream; undefined where there is none. Whoever stops reading it leaves it as it is. */
export function bodyOf(request: Request): AsyncIterable<Buffer> | undefined {
  if (request.body === null) return undefined;
  const known = bodies.get(request) ?? Readable.fromWeb(request.body as NodeStream);
  bodies.set(request, known);
  return known.iterator({ destroyOnReturn: false });
}

/** How long the rest of a body is received before a refusal is sent, ms. */
const LONGEST_REST_MS = 30_000;

/**
 * Receives and discards the unread rest of a body. A browser sends all of it before it reads the answer: with the rest
 * unread it would wait for ever, and the answer is not seen.
 */
async function takeRest(request: Request): Promise<void> {
  const until = Date.now() + LONGEST_REST_MS;
  try {
    const rest = bodyOf(request)?.[Symbol.asyncIterator]();
    while (rest !== undefined && (await rest.next()).done !== true) if (Date.now() > until) return;
  } catch {
    // Gone, or read to its end by somebody else: there is no rest.
  }
}

/**
 * A route handler, for the server's computer and paired devices. It says in a sentence what prevents a write: a full
 * disk, a locked or damaged database. The unread rest of the body is received before it answers. HEAD, which the
 * framework sends to GET, is answered without its work.
 */
export function answering<Rest extends unknown[]>(handler: Handler<Rest>) {
  return async (request: Request, ...rest: Rest): Promise<Response> => {
    if (request.method === 'HEAD') return new Response(null);
    try {
      return await handler(request, ...rest);
    } catch (error) {
      const words = wordsOfTrouble(error);
      return refusal(words, storageTroubleOf(error)?.code === 'diskFull' ? 507 : 503);
    } finally {
      await takeRest(request);
    }
  };
}

/** A route handler for the server's own computer: a paired device is refused. */
export function answeringAtMachine<Rest extends unknown[]>(handler: Handler<Rest>) {
  return answering((request: Request, ...rest: Rest) =>
    isAtMachine(request.headers) ? handler(request, ...rest) : refusal(AT_MACHINE_WORDS, 403),
  );
}

function tooLarge(limitBytes: number): Response {
  return refusal(`More than ${describeBytes(limitBytes)}. Split the file.`, 413);
}

/** Returns the body of a request, read no further than the limit, whatever length its sender announces. */
export async function takeBytes(request: Request, limitBytes: number): Promise<Result<Uint8Array, Response>> {
  if (Number(request.headers.get('content-length') ?? 0) > limitBytes) return fail(tooLarge(limitBytes));
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  for await (const chunk of bodyOf(request) ?? []) {
    bytes += chunk.length;
    if (bytes > limitBytes) return fail(tooLarge(limitBytes));
    chunks.push(chunk);
  }
  return ok(Buffer.concat(chunks));
}

/** The same as text, by whatever of the usual encodings it was written in. */
export async function takeText(request: Request, limitBytes: number): Promise<Result<string, Response>> {
  const bytes = await takeBytes(request, limitBytes);
  return bytes.ok ? ok(decodeText(bytes.value)) : bytes;
}

/** More than any one reading, word or answer takes. */
const LARGEST_JSON_BYTES = 64 * 1024;

/** The JSON body of a request, checked; what does not fit is answered with 400. */
export async function readJson<Schema extends z.ZodType>(
  request: Request,
  schema: Schema,
): Promise<Result<z.output<Schema>, Response>> {
  const text = await takeText(request, LARGEST_JSON_BYTES);
  if (!text.ok) return text;
  let body: unknown;
  try {
    body = JSON.parse(text.value);
  } catch {
    return fail(refusal('The request body is not valid JSON.', 400));
  }
  const parsed = schema.safeParse(body);
  if (parsed.success) return ok(parsed.data);
  const [first] = parsed.error.issues;
  return fail(refusal(`${first.path.join('.') || 'body'}: ${first.message}.`.slice(0, 300), 400));
}

/** The number in an address; undefined when it can be no id of a row. */
export function idIn(text: string | null): number | undefined {
  return text !== null && /^[1-9]\d{0,14}$/.test(text) ? Number(text) : undefined;
}

/** A file to be saved under a name; quotes and line ends cannot get into the header. */
export function download(name: string): Record<string, string> {
  return {
    'Content-Disposition': `attachment; filename="${name.replace(/[^\w ,.-]+/g, '-').slice(0, 120)}"`,
  };
}
