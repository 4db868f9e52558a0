import type { Metadata } from 'next';
import { connection } from 'next/server';
import { ProfileForm } from '@/app/_components/profile-form';
import { bench } from '@/subjects/house';
import { glanceAtProfiles, listStations } from '@/subjects/printing';
import { listShelfNames, listVats } from '@/subjects/resin';
import { Link } from '@/ui';
import { StationsForm } from './_components/stations-form';
import { VatForm } from './_components/vat-form';
import { addProfile } from './actions';

export const metadata: Metadata = { title: 'Printers' };

/** Printers with their profiles, vats and room. */
export default async function PrintersPage() {
  await connection();
  const { db } = bench();
  const profiles = glanceAtProfiles(db);
  const vats = listVats(db);
  const printers = listStations(db);
  const resins = listShelfNames(db);
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 sm:px-6">
      <h1 className="text-3xl">Printers and their signatures</h1>
      <p className="mt-2 max-w-prose text-soft">
        A signature says how drawn sizes come out. It belongs to one printer with one resin and one profile,
        and is learned from every reading taken of its prints.
      </p>
      <ul className="mt-4 border-t border-hair">
        {profiles.map((profile) => (
          <li
            key={profile.id}
            className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-hair py-3"
          >
            <div>
              <Link href={`/printers/${profile.id}`} className="text-lg font-semibold hover:underline">
                {profile.resin} on {profile.printer}
              </Link>
              <p className="text-sm text-soft">
                {[profile.name, profile.lot, profile.simulated ? 'simulated printer' : '']
                  .filter((part) => part !== '')
                  .join(' · ')}
              </p>
            </div>
            <p>
              {profile.readingCount === 0 ? (
                <span className="text-soft">nothing measured yet, all assumed</span>
              ) : (
                <>
                  <span className="num">{profile.pinned}</span> of{' '}
                  <span className="num">{profile.parameters}</span> parameters pinned by{' '}
                  <span className="num">{profile.readingCount}</span> readings
                </>
              )}
            </p>
          </li>
        ))}
      </ul>
      {profiles.length === 0 && (
        <p className="mt-3 text-soft">
          No printer yet. Make the first one here, or on the way when a job asks for it.
        </p>
      )}
      {vats.length > 0 && (
        <section aria-labelledby="vats-title" className="mt-6">
          <h2 id="vats-title" className="text-lg">
            In the vats now
          </h2>
          <p className="text-sm text-soft">
            Changing over costs time and resin, so the choice of a resin counts what is loaded.
          </p>
          {vats.map((vat) => (
            <VatForm key={vat.id} vat={vat} resins={resins} />
          ))}
        </section>
      )}
      {printers.length > 0 && (
        <section aria-labelledby="stations-title" className="mt-6">
          <h2 id="stations-title" className="text-lg">
            What a part must fit into
          </h2>
          <p className="text-sm text-soft">
            Plate, bath and lamp. With their sizes, a part that fits the printer but not the lamp is found
            before it is printed.
          </p>
          {printers.map((printer) => (
            <StationsForm key={printer.id} printer={printer} />
          ))}
        </section>
      )}
      <details className="mt-6" open={profiles.length === 0}>
        <summary className="font-semibold">A new printer, resin or profile</summary>
        <div className="mt-3 max-w-2xl">
          <ProfileForm action={addProfile} />
        </div>
      </details>
    </div>
  );
}
