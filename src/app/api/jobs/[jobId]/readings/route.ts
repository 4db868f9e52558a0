import { bench } from '@/subjects/house';
import { exportReadings, importReadings } from '@/subjects/measure';
import { describeImportIssue } from '@/subjects/measure/shared';
import { download, refusal } from '../../../answers';

type Params = { params: Promise<{ jobId: string }> };

const LARGEST_CSV_BYTES = 64 * 1024 * 1024;

/** The job's standing readings as readings.csv. */
export async function GET(request: Request, { params }: Params): Promise<Response> {
  const csv = exportReadings(bench().db, Number((await params).jobId));
  return new Response(csv, {
    headers: { 'Content-Type': 'text/csv; charset=utf-8', ...download('readings.csv') },
  });
}

/** Takes a readings.csv into the job: all of it or nothing. */
export async function POST(request: Request, { params }: Params): Promise<Response> {
  if (Number(request.headers.get('content-length') ?? 0) > LARGEST_CSV_BYTES)
    return refusal('The file is larger than 64 MB. Split it.', 400);
  const imported = importReadings(bench().db, Number((await params).jobId), await request.text());
  if (!imported.ok) return refusal(describeImportIssue(imported.issue), 400);
  return Response.json(imported.value);
}
