import { revalidatePath } from 'next/cache';
import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { bench } from '@/subjects/house';
import { buildJobFile, keepPartFile, PART_FORMATS, type PartFormat, viewJob } from '@/subjects/job';
import { keepMesh } from '@/subjects/records';
import { describeKeepIssue } from '@/subjects/records/shared';
import { download, refusal } from '../../../answers';

type Params = { params: Promise<{ jobId: string }> };

const TYPES: Readonly<Record<PartFormat, string>> = { stl: 'model/stl', '3mf': 'model/3mf' };

/** The part built from sizes, or the gauge: `?drawn=next` or the newest attempt's by default, `as` stl or 3mf; `&save` names a file. */
export async function GET(request: Request, { params }: Params): Promise<Response> {
  const view = viewJob(bench().db, Number((await params).jobId));
  const { searchParams } = new URL(request.url);
  const format = PART_FORMATS.find((each) => each === (searchParams.get('as') ?? 'stl'));
  if (format === undefined) return refusal('A part comes as stl or 3mf.', 400);
  const which = searchParams.get('drawn') === 'next' ? 'next' : 'newest';
  const file = view && (await buildJobFile(view, which, format));
  if (view === undefined || file === undefined)
    return refusal('This job has no part that can be built from sizes.', 404);
  const saved = searchParams.has('save')
    ? download(
        `${view.job.name}${view.job.kind === 'gauge' ? '' : ` ${which === 'next' ? 'next' : 'drawn'}`}.${format}`,
      )
    : {};
  return new Response(file, {
    headers: { 'Content-Type': TYPES[format], 'Cache-Control': 'no-store', ...saved },
  });
}

/** Takes the part's file, streamed to disk; `?attempt` keeps it for the next attempt and does not change the job. */
export async function POST(request: Request, { params }: Params): Promise<Response> {
  if (request.body === null) return refusal(describeKeepIssue({ code: 'emptyFile' }), 400);
  const { db, folder } = bench();
  const { searchParams } = new URL(request.url);
  const name = (searchParams.get('name') ?? 'part.stl').slice(0, 120);
  const length = request.headers.get('content-length');
  const kept = await keepMesh(db, folder, {
    name,
    body: Readable.fromWeb(request.body as NodeStream),
    announced: length === null ? undefined : Number(length),
  });
  if (!kept.ok) return refusal(describeKeepIssue(kept.issue), 400);
  if (!searchParams.has('attempt')) keepPartFile(db, Number((await params).jobId), kept.value, name);
  revalidatePath('/', 'layout');
  return Response.json({ hash: kept.value });
}
