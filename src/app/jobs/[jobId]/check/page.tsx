import { connection } from 'next/server';
import { loadJob } from '@/app/_components/load-job';
import { PartDrop } from '@/app/_components/part-drop';
import { idFrom } from '@/app/_components/read-params';
import { viewCheck } from '@/subjects/part';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import { CheckDesk } from './_components/check-desk';
import { PrintSetupForm } from './_components/print-setup-form';

interface CheckPageProps {
  readonly params: Promise<{ jobId: string }>;
  readonly searchParams: Promise<{ file?: string | string[] }>;
}

/** Check: what the layers of the part say before it is printed. */
export default async function CheckPage({ params, searchParams }: CheckPageProps) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const view = await loadJob(jobId);
  const wanted = (await searchParams).file === 'base' ? 'base' : 'toPrint';
  const { part, stance, limits, critical, verdicts } = viewCheck(
    bench().db,
    view,
    benchHouse().check,
    wanted,
  );
  if (part === undefined)
    return (
      <section className="max-w-prose">
        <p>No part to check yet. Import its file. The check takes seconds; a failed print costs a night.</p>
        <PartDrop jobId={jobId} hasPart={false} />
      </section>
    );
  if (stance === undefined)
    return (
      <section aria-labelledby="stance-title" className="max-w-2xl">
        <h2 id="stance-title" className="mb-1 text-lg">
          How is it supported?
        </h2>
        <p className="mb-3 text-soft">
          A bowl that seals against the plate is open on supports, so the check needs this first.
        </p>
        <PrintSetupForm jobId={jobId} />
      </section>
    );
  const { profile } = view;
  return (
    <CheckDesk
      jobId={jobId}
      part={part}
      ask={{ stance, limits, critical, seen: view.job.seenDirections }}
      verdicts={verdicts}
      printer={profile?.printer.name}
    />
  );
}
