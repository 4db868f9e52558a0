import { fail, ok, type Result } from '@/core/result';
import type { z } from 'zod';

/** One JSON sentence with a status. */
export function refusal(message: string, status: number): Response {
  return Response.json({ message }, { status });
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
