import { z } from 'zod';
import { idFrom } from '@/app/_components/read-params';
import { bench } from '@/subjects/workshop/settings';
import { askSimulated, PRINTER_WORDS, tellSimulated } from '@/subjects/simulated';
import { answering, readJson, refusal } from '../../../answers';

interface Context {
  readonly params: Promise<{ printerId: string }>;
}

const word = z.object({ do: z.enum(PRINTER_WORDS) });

/** Reports of the simulated printer, as one on the network would give them; switched off, it does not answer. */
export const GET = answering(async (_request: Request, { params }: Context) => {
  const report = askSimulated(bench().db, idFrom((await params).printerId), new Date());
  return report === undefined ? refusal('This printer does not respond.', 504) : Response.json(report);
});

/** Has it stop where it is, fall silent for an hour, or answer again. */
export const POST = answering(async (request: Request, { params }: Context) => {
  const wanted = await readJson(request, word);
  if (!wanted.ok) return wanted.issue;
  const isDone = tellSimulated(bench().db, idFrom((await params).printerId), wanted.value.do, new Date());
  return isDone ? Response.json({}) : refusal('This printer is not printing.', 409);
});
