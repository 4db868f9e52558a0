import { after } from 'next/server';
import { bench } from '@/subjects/workshop/settings';
import { isJob } from '@/subjects/job/jobs';
import { exportReadings, importReadingsSteps } from '@/subjects/measure/readings';
import { describeImportIssue } from '@/subjects/measure/readings/shared';
import { answering, download, idIn, refusal, takeText } from '../../../answers';
import { answerInTurns } from '../../../in-turns';

type Params = { params: Promise<{ jobId: string }> };

const LARGEST_CSV_BYTES = 64 * 1024 * 1024;

const noJob = () => refusal('This job does not exist in this workshop.', 404);

/** The job's standing readings as readings.csv. */
export const GET = answering(async (_request: Request, { params }: Params) => {
  const jobId = idIn((await params).jobId);
  const { db } = bench();
  if (jobId === undefined || !isJob(db, jobId)) return noJob();
  return new Response(exportReadings(db, jobId), {
    headers: { 'Content-Type': 'text/csv; charset=utf-8', ...download('readings.csv') },
  });
});

/** Takes a readings.csv into the job: all of it or nothing. */
export const POST = answering(async (request: Request, { params }: Params) => {
  const jobId = idIn((await params).jobId);
  const { db } = bench();
  if (jobId === undefined || !isJob(db, jobId)) return noJob();
  const text = await takeText(request, LARGEST_CSV_BYTES);
  if (!text.ok) return text.issue;
  return answerInTurns(request, importReadingsSteps(db, jobId, text.value, after), (imported) =>
    imported.ok ? Response.json(imported.value) : refusal(describeImportIssue(imported.issue), 400),
  );
});
