import type { Metadata } from 'next';
import { connection } from 'next/server';
import { ProfileForm } from '@/app/_components/profile-form';
import { bench } from '@/subjects/workshop/settings';
import { glanceAtProfiles, listForeign, listPrinters } from '@/subjects/signature';
import { describePrinter } from '@/subjects/signature/shared';
import { listShelfNames, listVats } from '@/subjects/resin/shelf';
import { Link } from '@/ui';
import { ForeignLaws } from './_components/foreign-laws';
import { ProfileLine } from './_components/profile-line';
import { addProfile } from './actions';

export const metadata: Metadata = { title: 'Printers' };

/** Printers: what stands in each vat, and how well each is known with each resin. */
export default async function PrintersPage() {
  await connection();
  const { db } = bench();
  const profiles = glanceAtProfiles(db);
  const vats = new Map(listVats(db).map((vat) => [vat.id, vat]));
  const printers = listPrinters(db);
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 sm:px-6">
      <h1 className="text-3xl">Printers and signatures</h1>
      <p className="mt-2 max-w-prose text-soft">
        A signature predicts how drawn sizes print. It belongs to one printer, one resin and one profile. The
        program learns it from every reading of a print.
      </p>
      {printers.map((printer) => (
        <section key={printer.id} aria-labelledby={`printer-${printer.id}`} className="mt-6">
          <div className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-ink pb-1">
            <h2 id={`printer-${printer.id}`} className="text-xl">
              <Link href={`/printers/machine/${printer.id}`} className="hover:underline">
                {printer.name}
              </Link>
            </h2>
            <p className="text-sm">
              Resin in the vat: <strong>{vats.get(printer.id)?.resin ?? 'nothing'}</strong>
            </p>
          </div>
          <p className="mt-1 text-sm text-soft">{describePrinter(printer)}</p>
          <ul>
            {profiles
              .filter(({ printerId }) => printerId === printer.id)
              .map((profile) => (
                <ProfileLine key={profile.id} profile={profile} />
              ))}
          </ul>
        </section>
      ))}
      {profiles.length === 0 && (
        <p className="mt-3 text-soft">
          No printers yet. Add the first printer here, or when a job asks for one.
        </p>
      )}
      <details className="mt-6" open={profiles.length === 0}>
        <summary className="font-semibold">New printer, resin or profile</summary>
        <div className="mt-3 max-w-2xl">
          <ProfileForm action={addProfile} />
        </div>
      </details>
      {profiles.length > 0 && (
        <ForeignLaws laws={listForeign(db)} printers={printers} resins={listShelfNames(db)} />
      )}
    </div>
  );
}
