import { postField } from '@/core/gauges';
import { writeStl } from '@/core/mesh';
import { bench, benchHouse } from '@/subjects/house';
import { viewRun } from '@/subjects/plate';
import { answering, download, refusal } from '../answers';

/** A field of small posts over the plate of a run as STL: `?run`. */
export const GET = answering((request: Request) => {
  const runId = Number(new URL(request.url).searchParams.get('run'));
  const view = Number.isInteger(runId) && runId > 0 ? viewRun(bench().db, runId, benchHouse()) : undefined;
  if (view === undefined) return refusal('There is no such run. Load its page again.', 404);
  const { bed, row } = view;
  return new Response(writeStl(postField([bed.widthMm, bed.depthMm])), {
    headers: {
      'Content-Type': 'model/stl',
      'Cache-Control': 'no-store',
      ...download(`posts for ${row.printer.name}.stl`),
    },
  });
});
