import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { connection } from 'next/server';
import { OriginalsPanel } from '@/app/house/_components/originals-panel';
import { RestorePanel } from '@/app/house/_components/restore-panel';
import { benchTrouble, examineBench, isAtMachine, viewOriginals } from '@/subjects/house';
import { describeBenchTrouble } from '@/subjects/house/shared';
import { Link, Note } from '@/ui';

export const metadata: Metadata = { title: 'Rescue' };

/** What is wrong with the bench, and the ways back. It needs nothing of the bench that is there. A paired device is told what is wrong, no more. */
export default async function RescuePage() {
  await connection();
  const isHere = isAtMachine(await headers());
  const trouble = isHere ? examineBench() : benchTrouble();
  return (
    <div className="mx-auto max-w-2xl space-y-6 px-4 py-8 sm:px-6">
      <h1 className="text-3xl">
        {trouble === undefined ? 'The bench is sound' : 'The bench cannot be opened'}
      </h1>
      {trouble === undefined ? (
        <Note>
          {isHere && 'Its database was read through and nothing is wrong with it.'}{' '}
          <Link href="/">Go on to Today</Link>
        </Note>
      ) : (
        <p role="alert" className="border-l-4 border-plum bg-sheet px-3 py-2 break-words">
          {describeBenchTrouble(trouble)}
        </p>
      )}
      {isHere ? (
        <section aria-labelledby="ways-title">
          <h2 id="ways-title" className="text-lg">
            Put a backup in its place
          </h2>
          <p className="text-soft">
            The bench that is there now is kept as it is, whatever its state, until you delete it.
          </p>
          <RestorePanel />
          <OriginalsPanel {...viewOriginals()} />
        </section>
      ) : (
        <p className="text-soft">A backup is put in its place at the machine itself.</p>
      )}
    </div>
  );
}
