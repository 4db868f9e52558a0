import { fail, ok, type Result } from '@/core/result';
import type { z } from 'zod';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);

/** One JSON sentence with a status. */
export function refusal(message: string, status: number): Response {
  return Response.json({ message }, { status });
}

/**
 * Refuses what another page sends in the user's name: the host must be this machine's own (a name that was made to
 * point here is none), and a request that changes something must come from a page of this origin.
 */
export function findStranger(request: Request): Response | undefined {
  const host = request.headers.get('host') ?? '';
  const name = host.replace(/:\d+$/, '');
  if (!LOOPBACK.has(name)) return refusal('This bench answers on its own machine only.', 403);
  const origin = request.headers.get('origin');
  if (origin !== null && origin !== `http://${host}`)
    return refusal('Another page may not use this bench.', 403);
  const site = request.headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none')
    return refusal('Another page may not use this bench.', 403);
  return undefined;
}

/** The JSON body of a request, checked; what does not fit is answered with 400. */
export async function readJson<Schema extends z.ZodType>(
  request: Request,
  schema: Schema,
): Promise<Result<z.output<Schema>, Response>> {
  let body: unknown;
  try {
    body = await request.json();
  } catch {
    return fail(refusal('The body is not JSON.', 400));
  }
  const parsed = schema.safeParse(body);
  if (parsed.success) return ok(parsed.data);
  const [first] = parsed.error.issues;
  return fail(refusal(`${first.path.join('.') || 'body'}: ${first.message}.`, 400));
}

/** A file to be saved under a name; quotes and line ends cannot get into the header. */
export function download(name: string): Record<string, string> {
  return { 'Content-Disposition': `attachment; filename="${name.replace(/[^\w .-]+/g, '-')}"` };
}
