import { idFrom } from '@/app/_components/read-params';
import { bench } from '@/subjects/workshop/settings';
import { hearPrinter } from '@/subjects/print/plate';
import { answering } from '../../answers';

/** Asks the printer of a run where it is, and keeps what it says; a print that it calls done is ended. */
export const POST = answering(async (_request: Request, { params }: { params: Promise<{ runId: string }> }) =>
  Response.json(hearPrinter(bench().db, idFrom((await params).runId))),
);
