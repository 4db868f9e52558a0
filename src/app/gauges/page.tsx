import type { Metadata } from 'next';
import { connection } from 'next/server';
import { GAUGE_CHOICES } from '@/core/fit/gauges';
import { blockForJob, glanceAtGauges } from '@/subjects/fit/gauges';
import { bench } from '@/subjects/workshop/settings';
import { viewJob } from '@/subjects/job/jobs';
import { listProfileChoices } from '@/subjects/signature';
import { Link, Note } from '@/ui';
import { GaugeMaker } from './_components/gauge-maker';

export const metadata: Metadata = { title: 'Gauges' };

type Search = { searchParams: Promise<Record<string, string | string[] | undefined>> };

function one(value: string | string[] | undefined): string | undefined {
  return Array.isArray(value) ? value[0] : value;
}

/** Gauges to print and try: the chosen recipe, its sizes and its file. */
export default async function GaugesPage({ searchParams }: Search) {
  await connection();
  const search = await searchParams;
  const { db } = bench();
  const gauges = glanceAtGauges(db);
  const profiles = listProfileChoices(db);
  const job = viewJob(db, Number(one(search.job) ?? 0));
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <h1 className="text-3xl">Gauges</h1>
      <p className="mt-2 max-w-prose text-soft">
        Small test prints. Print one, then measure it or try it by hand in minutes. The result counts in every
        job of that printer and resin.
      </p>
      <section aria-labelledby="bench-gauges" className="mt-5">
        <h2 id="bench-gauges" className="border-b border-ink pb-1 text-lg">
          In progress
        </h2>
        {gauges.length === 0 && <p className="mt-2 text-soft">No gauges yet.</p>}
        <ul>
          {gauges.map(({ id, name, profile, printed, found, of }) => (
            <li
              key={id}
              className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-hair py-2"
            >
              <div>
                <Link href={`/jobs/${id}/measure`} className="text-lg font-semibold hover:underline">
                  {name}
                </Link>
                <p className="text-sm text-soft">{profile}</p>
              </div>
              <p className="text-sm">
                {!printed ? (
                  'waits for its print'
                ) : (
                  <>
                    <span className="num">{found}</span> of <span className="num">{of}</span> recorded
                  </>
                )}
              </p>
            </li>
          ))}
        </ul>
      </section>
      <section aria-labelledby="make-gauge" className="mt-7">
        <h2 id="make-gauge" className="mb-2 text-lg">
          New gauge
        </h2>
        {profiles.length === 0 ? (
          <Note>
            A gauge needs a printer and a resin. Add them in{' '}
            <Link href="/printers" className="underline">
              Printers
            </Link>{' '}
            first.
          </Note>
        ) : (
          <GaugeMaker
            profiles={profiles}
            start={{
              profileId: Number(one(search.profile)) || profiles[0].id,
              choice: GAUGE_CHOICES.find((choice) => choice === one(search.choice)) ?? 'block',
              pinMm: one(search.pin),
              job: job && { id: job.job.id, name: job.job.name, chosen: blockForJob(job) },
            }}
          />
        )}
      </section>
    </div>
  );
}
