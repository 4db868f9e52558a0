import { bench } from '@/subjects/workshop/settings';
import { exportShelf, importShelfSteps } from '@/subjects/resin/shelf';
import { describeShelfIssue } from '@/subjects/resin/shelf/shared';
import { answering, download, refusal, takeText } from '../answers';
import { answerInTurns } from '../in-turns';

const LARGEST_SHELF_BYTES = 64 * 1024 * 1024;

/** The resins as a file: JSON with everything, or CSV with the datasheets. */
export const GET = answering((request: Request) => {
  const form = new URL(request.url).searchParams.get('form') === 'csv' ? 'csv' : 'json';
  const type = form === 'csv' ? 'text/csv' : 'application/json';
  return new Response(exportShelf(bench().db, form), {
    headers: { 'Content-Type': `${type}; charset=utf-8`, ...download(`shelf.${form}`) },
  });
});

/** Imports a resin file: all of it or nothing. */
export const POST = answering(async (request: Request) => {
  const text = await takeText(request, LARGEST_SHELF_BYTES);
  if (!text.ok) return text.issue;
  return answerInTurns(request, importShelfSteps(bench().db, text.value), (imported) =>
    imported.ok ? Response.json(imported.value) : refusal(describeShelfIssue(imported.issue), 400),
  );
});
