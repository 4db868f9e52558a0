import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { connection } from 'next/server';
import { OriginalsPanel } from '@/app/house/_components/originals-panel';
import { RestorePanel } from '@/app/house/_components/restore-panel';
import { benchTrouble, examineBench, isAtMachine, viewOriginals } from '@/subjects/workshop/settings';
import { describeBenchTrouble } from '@/subjects/workshop/settings/shared';
import { Link, Note } from '@/ui';

export const metadata: Metadata = { title: 'Rescue' };

/**
 * What is wrong with the workshop, and the ways back. It needs nothing of the present workshop. A paired device sees
 * only what is wrong.
 */
export default async function RescuePage() {
  await connection();
  const isHere = isAtMachine(await headers());
  const trouble = isHere ? examineBench() : benchTrouble();
  return (
    <div className="mx-auto max-w-2xl space-y-6 px-4 py-8 sm:px-6">
      <h1 className="text-3xl">
        {trouble === undefined ? 'The workshop has no errors' : 'The workshop cannot be opened'}
      </h1>
      {trouble === undefined ? (
        <Note>
          {isHere && 'The database was checked. No errors found.'} <Link href="/">Continue to Today</Link>
        </Note>
      ) : (
        <p role="alert" className="border-l-4 border-plum bg-sheet px-3 py-2 break-words">
          {describeBenchTrouble(trouble)}
        </p>
      )}
      {isHere ? (
        <section aria-labelledby="ways-title">
          <h2 id="ways-title" className="text-lg">
            Restore a backup
          </h2>
          <p className="text-soft">The current workshop is kept unchanged until you delete it.</p>
          <RestorePanel />
          <OriginalsPanel {...viewOriginals()} />
        </section>
      ) : (
        <p className="text-soft">Restore a backup on the computer that runs the server.</p>
      )}
    </div>
  );
}
