import { after } from 'next/server';
import { bringPart, turnPart, type Turn } from '@/subjects/part';
import { describeTurn, describeTurnIssue, turnInput } from '@/subjects/part/shared';
import { bench } from '@/subjects/workshop/settings';
import {
  buildJobFile,
  isJob,
  type JobView,
  PART_FORMATS,
  type PartFormat,
  viewJob,
} from '@/subjects/job/jobs';
import { describeReopened } from '@/subjects/job/jobs/shared';
import { keepMesh } from '@/subjects/workshop/records';
import { describeKeepIssue } from '@/subjects/workshop/records/shared';
import { answering, bodyOf, download, idIn, refusal } from '../../../answers';

type Params = { params: Promise<{ jobId: string }> };

const TYPES: Readonly<Record<PartFormat, string>> = { stl: 'model/stl', '3mf': 'model/3mf' };

/** Returns the file name without its ending. The pre-print checklist shows the same name: job and attempt. */
function nameOfFile({ job, attempts }: JobView, which: 'next' | 'newest'): string {
  const newest = attempts.at(-1)?.number ?? 0;
  return job.kind === 'gauge' ? job.name : `${job.name} A${which === 'next' ? newest + 1 : newest}`;
}

/** The part built from sizes, or the gauge: `?drawn=next` or the newest attempt's by default, `as` stl or 3mf; `&save` names a file. */
export const GET = answering(async (request: Request, { params }: Params) => {
  const view = viewJob(bench().db, idIn((await params).jobId) ?? 0);
  const { searchParams } = new URL(request.url);
  const format = PART_FORMATS.find((each) => each === (searchParams.get('as') ?? 'stl'));
  if (format === undefined) return refusal('Use stl or 3mf as the file type.', 400);
  const which = searchParams.get('drawn') === 'next' ? 'next' : 'newest';
  const file = view && (await buildJobFile(view, which, format));
  if (view === undefined || file === undefined)
    return refusal('This job has no part that can be built from its sizes.', 404);
  const saved = searchParams.has('save') ? download(`${nameOfFile(view, which)}.${format}`) : {};
  return new Response(file, {
    headers: { 'Content-Type': TYPES[format], 'Cache-Control': 'no-store', ...saved },
  });
});

/**
 * Takes the part's file, streamed to disk; `?attempt` keeps it for the next attempt and does not change the job,
 * `?turn` takes the places of the features along.
 */
export const POST = answering(async (request: Request, { params }: Params) => {
  const { db, folder } = bench();
  const jobId = idIn((await params).jobId);
  if (jobId === undefined || !isJob(db, jobId))
    return refusal('This job does not exist in this workshop.', 404);
  const body = bodyOf(request);
  if (body === undefined) return refusal(describeKeepIssue({ code: 'emptyFile' }), 400);
  const { searchParams } = new URL(request.url);
  const name = (searchParams.get('name') ?? 'part.stl').slice(0, 120);
  const turn = readTurn(searchParams.get('turn'));
  if (turn === 'unreadable')
    return refusal('The rotation of the part could not be read. Rotate it again.', 400);
  const length = request.headers.get('content-length');
  const kept = await keepMesh(db, folder, {
    name,
    body,
    announced: length === null ? undefined : Number(length),
  });
  if (!kept.ok) return refusal(describeKeepIssue(kept.issue), kept.issue.code === 'tooLarge' ? 413 : 400);
  if (turn !== undefined) {
    const turned = turnPart(db, jobId, { meshHash: kept.value, name, ...turn }, after);
    if (!turned.ok) return refusal(describeTurnIssue(turned.issue), 409);
    const { opened, ...effect } = turned.value;
    return Response.json({
      hash: kept.value,
      said: `${describeTurn(effect)} ${describeReopened(opened)}`.trim(),
    });
  }
  const opened = searchParams.has('attempt') ? [] : bringPart(db, jobId, kept.value, name);
  return Response.json({ hash: kept.value, said: describeReopened(opened) });
});

function readTurn(text: string | null): Turn | undefined | 'unreadable' {
  if (text === null) return undefined;
  try {
    return turnInput.parse(JSON.parse(text));
  } catch {
    return 'unreadable';
  }
}
