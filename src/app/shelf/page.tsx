import type { Metadata } from 'next';
import { connection } from 'next/server';
import { bench } from '@/subjects/workshop/settings';
import { listStockLeft } from '@/subjects/log';
import { glanceAtShelf } from '@/subjects/resin/shelf';
import { Button, buttonLook, Link } from '@/ui';
import { NewResinForm } from './_components/new-resin-form';
import { CarryPanel } from './_components/carry-panel';
import { ShelfList } from './_components/shelf-list';
import { StockPanel } from './_components/stock-panel';
import { takePracticeShelf } from './actions';

export const metadata: Metadata = { title: 'Resins' };

/** All resins of the workshop. */
export default async function ShelfPage() {
  await connection();
  const lines = glanceAtShelf(bench().db);
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <div className="flex flex-wrap items-baseline justify-between gap-4">
        <h1 className="text-3xl">Resins</h1>
        <Link href="/shelf/blend" className={buttonLook(lines.length < 2 ? 'plain' : 'main')}>
          Mix a blend
        </Link>
      </div>
      <p className="mt-2 max-w-prose text-soft">
        Resins with datasheet values and your own test results. A missing value is unknown, and an unknown
        value never passes.
      </p>
      {lines.length > 0 ? (
        <ShelfList lines={lines} />
      ) : (
        <form action={takePracticeShelf} className="mt-4 bg-sheet px-4 py-4">
          <p className="mb-3 max-w-prose">
            No resins yet. Add your first resin below, import a resin file, or add eight sample resins to try
            the program.
          </p>
          <Button type="submit" weight="main">
            Add sample resins
          </Button>
        </form>
      )}
      <div className="mt-8 grid gap-8 lg:grid-cols-2">
        <section aria-labelledby="new-resin">
          <h2 id="new-resin" className="mb-2 text-lg">
            New resin
          </h2>
          <NewResinForm />
        </section>
        <CarryPanel />
      </div>
      <StockPanel stock={listStockLeft(bench().db, new Date())} />
    </div>
  );
}
