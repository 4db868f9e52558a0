import { bench } from '@/subjects/house';
import { exportShelf, importShelf } from '@/subjects/resin';
import { describeShelfIssue } from '@/subjects/resin/shared';
import { download, refusal } from '../answers';

const LARGEST_SHELF_BYTES = 64 * 1024 * 1024;

/** The shelf as a file: JSON with everything, or CSV with the sheets. */
export function GET(request: Request): Response {
  const form = new URL(request.url).searchParams.get('form') === 'csv' ? 'csv' : 'json';
  const type = form === 'csv' ? 'text/csv' : 'application/json';
  return new Response(exportShelf(bench().db, form), {
    headers: { 'Content-Type': `${type}; charset=utf-8`, ...download(`shelf.${form}`) },
  });
}

/** Takes a shelf file in: all of it or nothing. */
export async function POST(request: Request): Promise<Response> {
  if (Number(request.headers.get('content-length') ?? 0) > LARGEST_SHELF_BYTES)
    return refusal('The file is larger than 64 MB. Split it.', 400);
  const imported = importShelf(bench().db, await request.text());
  if (!imported.ok) return refusal(describeShelfIssue(imported.issue), 400);
  return Response.json(imported.value);
}
