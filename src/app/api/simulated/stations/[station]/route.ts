import { z } from 'zod';
import { bench } from '@/subjects/workshop/settings';
import { askStation, openStation, STATIONS } from '@/subjects/simulated';
import { answering, readJson, refusal } from '../../../answers';

interface Context {
  readonly params: Promise<{ station: string }>;
}

const stationName = z.enum(STATIONS);
const word = z.object({ do: z.literal('open') });
const UNKNOWN = 'This station does not exist. Use wash or lamp.';

/** Reports of the simulated wash or lamp, as one on the network would give them. */
export const GET = answering(async (_request: Request, { params }: Context) => {
  const station = stationName.safeParse((await params).station);
  if (!station.success) return refusal(UNKNOWN, 404);
  return Response.json(askStation(bench().db, station.data, new Date()));
});

/** Opens its lid: it stops. */
export const POST = answering(async (request: Request, { params }: Context) => {
  const station = stationName.safeParse((await params).station);
  if (!station.success) return refusal(UNKNOWN, 404);
  const wanted = await readJson(request, word);
  if (!wanted.ok) return wanted.issue;
  const isOpened = openStation(bench().db, station.data, new Date());
  return isOpened ? Response.json({}) : refusal('This station is not running.', 409);
});
