import { bench } from '@/subjects/workshop/settings';
import { decidingFile } from '@/subjects/log';
import { testNameInput } from '@/subjects/log/shared';
import { answering, download, refusal } from '../answers';

/** What a deciding test of a run is made with: `?run&test`, a field of posts or a turned part as STL, a light image as SVG. */
export const GET = answering(async (request: Request) => {
  const { searchParams } = new URL(request.url);
  const runId = Number(searchParams.get('run'));
  const test = testNameInput.safeParse(searchParams.get('test'));
  const known = Number.isInteger(runId) && runId > 0 && test.success;
  const file = known ? await decidingFile(bench(), runId, test.data) : undefined;
  if (file === undefined)
    return refusal(
      'This run does not exist, or the test has no file for it. Reload the page of the run.',
      404,
    );
  const { name, type, body } = file;
  return new Response(body, {
    headers: { 'Content-Type': type, 'Cache-Control': 'no-store', ...download(name) },
  });
});
