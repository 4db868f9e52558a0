import { bench } from '@/subjects/house';
import { findByWords } from '@/subjects/overview';

/** What on the bench bears the words. */
export function GET(request: Request): Response {
  const words = new URL(request.url).searchParams.get('words') ?? '';
  return Response.json(findByWords(bench().db, words.slice(0, 200)));
}
