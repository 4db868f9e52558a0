import { profileToDxf, profileToSvg } from '@/core/fit/solids';
import { bench } from '@/subjects/workshop/settings';
import { outlineOfJob, viewJob } from '@/subjects/job/jobs';
import { answering, download, idIn, refusal } from '../../../answers';

/** The outline at drawn sizes: `?as=dxf` or `svg`, `&drawn=next` or the newest attempt's. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ jobId: string }> }) => {
  const view = viewJob(bench().db, idIn((await params).jobId) ?? 0);
  const { searchParams } = new URL(request.url);
  const outline = view && outlineOfJob(view, searchParams.get('drawn') === 'next' ? 'next' : 'newest');
  if (view === undefined || outline === undefined)
    return refusal('This job has no outline. Apply its measuring sheet first.', 404);
  const isDxf = searchParams.get('as') === 'dxf';
  return new Response(isDxf ? profileToDxf(outline) : profileToSvg(outline), {
    headers: {
      'Content-Type': isDxf ? 'image/vnd.dxf' : 'image/svg+xml',
      'Cache-Control': 'no-store',
      ...download(`${view.job.name}.${isDxf ? 'dxf' : 'svg'}`),
    },
  });
});
