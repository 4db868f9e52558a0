import { z } from 'zod';
import { buildBracketGauge } from '@/core/fit/gauges';
import { writeStl } from '@/core/part/mesh';
import { loadKernel } from '@/subjects/job/jobs';
import { answering, download, refusal } from '../answers';

const wanted = z.object({ exposure: z.coerce.number().positive().lt(3600) });

/** The small gauge of a bracket as STL, named by its exposure: `?exposure` in s. */
export const GET = answering(async (request: Request) => {
  const read = wanted.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!read.success) return refusal('A gauge needs an exposure above 0 and below 3600 s.', 400);
  return new Response(writeStl(buildBracketGauge(await loadKernel())), {
    headers: {
      'Content-Type': 'model/stl',
      'Cache-Control': 'no-store',
      ...download(`bracket ${read.data.exposure} s.stl`),
    },
  });
});
