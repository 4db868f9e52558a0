import { idFrom } from '@/app/_components/read-params';
import { bench } from '@/subjects/house';
import { hearPrinter } from '@/subjects/plate';
import { answering } from '../../answers';

/** Where the printer of a run says that it is. */
export const GET = answering(async (_request: Request, { params }: { params: Promise<{ runId: string }> }) =>
  Response.json(hearPrinter(bench().db, idFrom((await params).runId))),
);
