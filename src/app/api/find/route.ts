import { bench } from '@/subjects/workshop/settings';
import { findByWords } from '@/subjects/job/overview';
import { answering } from '../answers';

/** Returns what contains the search words. */
export const GET = answering((request: Request) => {
  const words = new URL(request.url).searchParams.get('words') ?? '';
  return Response.json(findByWords(bench().db, words.slice(0, 200)));
});
