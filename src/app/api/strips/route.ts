import { z } from 'zod';
import { stripMesh } from '@/core/fit/gauges';
import { writeStl } from '@/core/part/mesh';
import { answering, download, refusal } from '../answers';

const wanted = z.object({
  exposure: z.coerce.number().positive().lt(3600),
  layer: z.coerce.number().min(0.005).max(1),
});

/** A strip's field as STL, named by its exposure: `?exposure` in s, `&layer` in mm. */
export const GET = answering((request: Request) => {
  const read = wanted.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!read.success)
    return refusal('A strip needs an exposure above 0 and below 3600 s, and a layer of 0.005 to 1 mm.', 400);
  const { exposure, layer } = read.data;
  return new Response(writeStl(stripMesh(layer)), {
    headers: {
      'Content-Type': 'model/stl',
      'Cache-Control': 'no-store',
      ...download(`strip ${exposure} s.stl`),
    },
  });
});
