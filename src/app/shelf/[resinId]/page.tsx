import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { CardSteps } from '@/app/_components/card-steps';
import { idFrom } from '@/app/_components/read-params';
import { evidenceOf, processCard } from '@/core/resin';
import { bench, benchHouse, today } from '@/subjects/workshop/settings';
import { findShelved, resinFile, shelvedBottles } from '@/subjects/resin/shelf';
import { describeFamily } from '@/subjects/resin/shelf/shared';
import { Caution, Link } from '@/ui';
import { Bottles } from './_components/bottles';
import { FactFields } from './_components/fact-fields';
import { ResinTestBench } from './_components/resin-test-bench';
import { ResinTestList } from './_components/resin-test-list';
import { QuoteForm } from './_components/quote-form';
import { RemoveResin } from './_components/remove-resin';
import { SheetTable } from './_components/sheet-table';

type Params = { params: Promise<{ resinId: string }> };

async function shelvedFrom(params: Params['params']) {
  return findShelved(bench().db, idFrom((await params).resinId)) ?? notFound();
}

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: (await shelvedFrom(params)).resin.name };
}

/** One resin: its datasheet, what was found here, its drifts and lots. */
export default async function ResinPage({ params }: Params) {
  await connection();
  const shelved = await shelvedFrom(params);
  const { resin, proofs, bottles, inVatOf } = shelved;
  const file = resinFile(shelved);
  const evidence = evidenceOf(file);
  const { sheet, recipe } = resin;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <p className="text-sm">
        <Link href="/shelf" className="underline">
          Resins
        </Link>
      </p>
      <h1 className="text-3xl">{resin.name}</h1>
      <p className="text-soft">
        {[
          describeFamily(sheet.family),
          recipe === null
            ? ''
            : recipe
                .map(({ resin: part, fraction }) => `${Number((fraction * 100).toFixed(1))} % ${part}`)
                .join(' + '),
          inVatOf.length === 0 ? '' : `in the vat of ${inVatOf.join(', ')}`,
          resin.removedAt === null ? '' : 'removed from your resins',
        ]
          .filter((part) => part !== '')
          .join(' · ')}
      </p>
      {recipe !== null && (
        <div className="mt-3">
          <Caution>
            A blend is off-label: no supplier guarantees it, and the safety data sheets of its parts no longer
            apply. Treat it like the more hazardous part. It has no ratings, and it needs its own signature.
          </Caution>
        </div>
      )}
      <div className="mt-5 grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="min-w-0 space-y-8">
          <section aria-labelledby="sheet-title">
            <h2 id="sheet-title" className="text-lg">
              Datasheet
            </h2>
            <SheetTable resinId={resin.id} sheet={sheet} evidence={evidence} />
            <QuoteForm resinId={resin.id} />
          </section>
          <section aria-labelledby="proofs-title">
            <h2 id="proofs-title" className="text-lg">
              Resin tests
            </h2>
            <p className="mb-2 max-w-prose text-soft">
              Test the resin as you print and cure it, with weights, a caliper and a kettle. Tested values
              replace datasheet values.
            </p>
            <ResinTestList resinId={resin.id} rows={proofs} today={today()} />
            <ResinTestBench resinId={resin.id} today={today()} />
          </section>
        </div>
        <div className="min-w-0 space-y-8">
          <section aria-labelledby="card-title">
            <h2 id="card-title" className="text-lg">
              Process card
            </h2>
            <CardSteps steps={processCard(file, benchHouse().schools)} />
          </section>
          <section aria-labelledby="bottles-title">
            <h2 id="bottles-title" className="text-lg">
              Bottles
            </h2>
            <Bottles resinId={resin.id} bottles={shelvedBottles(bottles)} />
          </section>
          <section aria-labelledby="facts-title">
            <h2 id="facts-title" className="text-lg">
              Other datasheet facts
            </h2>
            <FactFields resinId={resin.id} sheet={sheet} />
          </section>
          <RemoveResin resinId={resin.id} name={resin.name} />
        </div>
      </div>
    </div>
  );
}
