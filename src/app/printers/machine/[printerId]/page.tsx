import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { idFrom } from '@/app/_components/read-params';
import { bench, today } from '@/subjects/workshop/settings';
import { findPrinter, glanceAtProfiles, viewCard } from '@/subjects/signature';
import { describePrinter } from '@/subjects/signature/shared';
import { listShelfNames, listVats } from '@/subjects/resin/shelf';
import { Link } from '@/ui';
import { ProfileLine } from '../../_components/profile-line';
import { CardForm } from './_components/card-form';
import { PrinterForm } from './_components/printer-form';
import { TroubleForm } from './_components/trouble-form';
import { VatForm } from './_components/vat-form';

type Params = { params: Promise<{ printerId: string }> };

const printerOf = async ({ params }: Params) => findPrinter(bench().db, idFrom((await params).printerId));

export async function generateMetadata(props: Params) {
  return { title: (await printerOf(props))?.name ?? 'Printer' };
}

/** One printer: its vat, its signatures, and what is known of it. */
export default async function PrinterPage(props: Params) {
  await connection();
  const printer = await printerOf(props);
  if (printer === undefined) notFound();
  const { db } = bench();
  const profiles = glanceAtProfiles(db).filter(({ printerId }) => printerId === printer.id);
  const vat = listVats(db).find(({ id }) => id === printer.id);
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 sm:px-6">
      <p className="text-sm">
        <Link href="/printers" className="underline">
          Printers
        </Link>
      </p>
      <h1 className="text-3xl">{printer.name}</h1>
      <p className="text-soft">
        {describePrinter(printer)} ·{' '}
        <Link href={`/printers/machine/${printer.id}/log`} className="underline">
          Print log and maintenance
        </Link>
      </p>
      <div className="mt-5 grid gap-8 lg:grid-cols-[1.2fr_1fr]">
        <section aria-labelledby="machine-title">
          <h2 id="machine-title" className="mb-2 border-b border-ink pb-1 text-lg">
            Printer
          </h2>
          <PrinterForm printer={printer} />
          <h2 id="card-title" className="mt-6 mb-2 border-b border-ink pb-1 text-lg">
            Device card
          </h2>
          <CardForm printerId={printer.id} {...viewCard(db, printer.id)!} today={today()} />
        </section>
        <div className="space-y-6">
          {vat !== undefined && (
            <section aria-labelledby="vat-title">
              <h2 id="vat-title" className="border-b border-ink pb-1 text-lg">
                Resin in the vat
              </h2>
              <p className="mt-1 text-sm text-soft">
                Changing the resin costs time and resin, so the resin ranking considers which resin is loaded.
              </p>
              <VatForm vat={vat} resins={listShelfNames(db)} />
            </section>
          )}
          {printer.simulatedSeed !== null && (
            <section aria-labelledby="trouble-title">
              <h2 id="trouble-title" className="border-b border-ink pb-1 text-lg">
                Fault simulation
              </h2>
              <p className="mt-1 text-sm text-soft">
                This printer is simulated. Apply a fault, print, inspect the result, and find the cause.
              </p>
              <TroubleForm
                printerId={printer.id}
                trouble={
                  printer.trouble === null
                    ? 'none'
                    : printer.trouble.isHidden
                      ? 'hidden'
                      : printer.trouble.trouble
                }
              />
            </section>
          )}
          <section aria-labelledby="profiles-title">
            <h2 id="profiles-title" className="border-b border-ink pb-1 text-lg">
              Signatures
            </h2>
            <ul>
              {profiles.map((profile) => (
                <ProfileLine key={profile.id} profile={profile} />
              ))}
            </ul>
            {profiles.length === 0 && <p className="mt-1 text-soft">No resin was printed on it yet.</p>}
          </section>
        </div>
      </div>
    </div>
  );
}
