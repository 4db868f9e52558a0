import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { connection } from 'next/server';
import { CheckPieceForm } from '@/app/_components/check-piece-form';
import { InstrumentForm } from '@/app/_components/instrument-form';
import { TakeCheckBack } from '@/app/_components/take-check-back';
import { FIT_WORDS, type FitWord, type WordMeaning } from '@/core/signature';
import { type JawCheck, listInstruments, viewChecks } from '@/subjects/caliper';
import { bench, benchHouse, isAtMachine, sharing, sharingTrouble, viewOriginals } from '@/subjects/house';
import { dayOf, describeFitWord, formatMm, formatSigned } from '@/subjects/language/shared';
import { glanceAtArchive } from '@/subjects/overview';
import { learnShopMeanings } from '@/subjects/printing';
import { Link, Note } from '@/ui';
import { CareFields } from './_components/care-fields';
import { CheckFields } from './_components/check-fields';
import { BackupButton } from './_components/backup-button';
import { ClassFields } from './_components/class-fields';
import { HouseFields } from './_components/house-fields';
import { OriginalsPanel } from './_components/originals-panel';
import { RestorePanel } from './_components/restore-panel';
import { RunFields } from './_components/run-fields';
import { SharePanel } from './_components/share-panel';
import { SchoolFields } from './_components/school-fields';
import { ShareFields } from './_components/share-fields';

export const metadata: Metadata = { title: 'House' };

/** The bench and its rules: currency, fit classes, instruments, what words mean, backup. */
export default async function HousePage() {
  await connection();
  // Forms begin anew where another bench was put in place.
  const { db, folder } = bench();
  const archived = glanceAtArchive(db);
  const isHere = isAtMachine(await headers());
  return (
    <div className="mx-auto grid max-w-5xl gap-8 px-4 py-5 sm:px-6 lg:grid-cols-2">
      <div className="space-y-8">
        <h1 className="text-3xl">House</h1>
        {!isHere && (
          <Note>
            You are on a paired device. You can read what is set here; you change it at the machine itself.
            Backup, restore, pairing and revoking are done there too. All else works here.
          </Note>
        )}
        {/* Read on a paired device, changed at the machine. */}
        <fieldset disabled={!isHere} className="space-y-8">
          <section aria-label="Bench">
            <HouseFields key={folder} {...benchHouse()} />
          </section>
          <section aria-labelledby="classes-title">
            <h2 id="classes-title" className="text-lg">
              What a wish means
            </h2>
            <ClassFields key={folder} classes={benchHouse().fitClasses} />
          </section>
          <section aria-labelledby="check-title">
            <h2 id="check-title" className="text-lg">
              What a part is held to before printing
            </h2>
            <p className="mb-3 text-sm text-soft">
              Shops differ: some trust two pixels, some six; some hang a whole face from supports. These are
              yours.
            </p>
            <CheckFields key={folder} rules={benchHouse().check} />
          </section>
          <section aria-labelledby="shares-title">
            <h2 id="shares-title" className="text-lg">
              What relatives lend
            </h2>
            <p className="mb-2 text-sm text-soft">
              A profile that nobody measured starts from those on the same printer or of the same resin. What
              the machine does, out of square, lean, plate, is shared by printer; what the resin does, shrink,
              cure below hanging faces, by resin. The numbers are our start values.
            </p>
            <details>
              <summary className="font-semibold">The shares</summary>
              <div className="mt-2">
                <ShareFields key={folder} shares={benchHouse().shares} />
              </div>
            </details>
          </section>
          <section aria-labelledby="hours-title">
            <h2 id="hours-title" className="mb-2 text-lg">
              Hours and costs
            </h2>
            <RunFields key={folder} run={benchHouse().run} />
          </section>
          <section aria-labelledby="care-title">
            <h2 id="care-title" className="mb-2 text-lg">
              Care
            </h2>
            <CareFields key={folder} care={benchHouse().care} />
            <p className="mt-3 text-sm">
              <Link href="/house/causes" className="underline">
                How failures are read
              </Link>
              : the chances of each cause, with their reasons.
            </p>
          </section>
        </fieldset>
        <section aria-labelledby="share-title">
          <h2 id="share-title" className="text-lg">
            Phones and tablets
          </h2>
          {isHere ? <Shared /> : <p className="text-soft">Paired and revoked at the machine itself.</p>}
        </section>
        {isHere && <Backup />}
      </div>
      <div className="space-y-8">
        <Calipers />
        <section aria-labelledby="words-title">
          <h2 id="words-title" className="text-lg">
            What the words of fit mean here
          </h2>
          <ShopMeanings meanings={learnShopMeanings(db)} />
        </section>
        <section aria-labelledby="schools-title">
          <h2 id="schools-title" className="mb-2 text-lg">
            Where practice differs
          </h2>
          <fieldset disabled={!isHere}>
            <SchoolFields key={folder} {...benchHouse()} />
          </fieldset>
        </section>
        <section aria-labelledby="away-title">
          <h2 id="away-title" className="text-lg">
            Archived jobs
          </h2>
          {archived.length === 0 && (
            <p className="text-soft">None. You archive a job under its Need and can bring it back.</p>
          )}
          <ul>
            {archived.map(({ id, name }) => (
              <li key={id} className="border-b border-hair py-1.5">
                <Link href={`/jobs/${id}/need`} className="underline">
                  {name}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </div>
  );
}

/** The bench as one file, out and in, and the benches that were replaced. */
function Backup() {
  return (
    <section aria-labelledby="backup-title">
      <h2 id="backup-title" className="text-lg">
        Backup
      </h2>
      <p className="mb-3 text-soft">Everything on this bench, readings, signatures and parts, in one file.</p>
      <BackupButton />
      <RestorePanel />
      <OriginalsPanel {...viewOriginals()} />
    </section>
  );
}

/** Who may reach the bench from elsewhere. */
function Shared() {
  const share = sharing();
  return (
    <SharePanel
      origin={share?.origin}
      devices={(share?.list() ?? []).map(({ id, name, pairedAt }) => ({ id, name, pairedAt }))}
      trouble={sharingTrouble()}
      // The page is made anew at each request: its clock is that of the answer.
      // eslint-disable-next-line react-hooks/purity
      serverNow={Date.now()}
    />
  );
}

/** The calipers of the bench, what their last checks showed, and another one. */
function Calipers() {
  const { db } = bench();
  return (
    <section aria-labelledby="calipers-title">
      <h2 id="calipers-title" className="text-lg">
        <span id="calipers">Calipers</span>
      </h2>
      <ul className="mb-3">
        {listInstruments(db).map(({ id, name, mpeMm, resolutionMm, jawFlatMm, simulatedSeed }) => (
          <li key={id} className="border-b border-hair py-1.5">
            <span className="font-semibold">{name}</span>{' '}
            <span className="text-sm text-soft">
              limit of error <span className="num">{formatMm(mpeMm, 3)}</span>, steps of{' '}
              <span className="num">{resolutionMm}</span>, jaw flats{' '}
              {jawFlatMm === null ? 'unknown' : <span className="num">{formatMm(jawFlatMm)}</span>}
              {simulatedSeed !== null && ', simulated'}
            </span>
            <Checks instrumentId={id} checks={viewChecks(db, id)} />
            <details className="mt-1">
              <summary className="text-sm underline">Check it on a piece of known size</summary>
              <p className="my-2 max-w-prose text-sm text-soft">
                A gauge block, a pin or a ring shows in a minute what the jaws add. Wipe both, read it three
                times. All that this caliper measured is judged with what it shows.
              </p>
              <CheckPieceForm instrumentId={id} name={name} />
            </details>
          </li>
        ))}
      </ul>
      <details>
        <summary className="font-semibold">Another caliper</summary>
        <div className="mt-3">
          <InstrumentForm />
        </div>
      </details>
    </section>
  );
}

/** What the last check of each jaw showed. */
function Checks({ instrumentId, checks }: { instrumentId: number; checks: readonly JawCheck[] }) {
  if (checks.length === 0)
    return <p className="text-sm text-soft">Not checked yet: its limit of error stands for what it adds.</p>;
  return (
    <ul className="text-sm">
      {checks.map(({ jaw, piece, offMm, count, lastAt, lastId }) => (
        <li key={jaw}>
          {jaw} jaws: <span className="num">{formatSigned(offMm, 3)} mm</span> on {piece},{' '}
          {count === 1 ? 'read once' : `read ${count} times`}, {dayOf(lastAt)} (
          <TakeCheckBack instrumentId={instrumentId} checkId={lastId} />)
        </li>
      ))}
    </ul>
  );
}

function ShopMeanings({ meanings }: { meanings: Readonly<Record<FitWord, WordMeaning>> }) {
  return (
    <>
      <table className="w-full border-collapse">
        <caption className="sr-only">How far each word lies from its start value</caption>
        <tbody>
          {FIT_WORDS.map((word) => {
            const { shiftMm, sdMm, count } = meanings[word];
            return (
              <tr key={word} className="border-b border-hair">
                <th scope="row" className="py-1 text-left font-semibold">
                  {describeFitWord(word)}
                </th>
                <td className="py-1 text-sm text-soft">
                  {count === 0 ? 'as assumed' : `${count} checked by caliper`}
                </td>
                <td className="num py-1 text-right">
                  {formatSigned(shiftMm, 3)} ± {formatMm(1.96 * sdMm, 3)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-1 text-sm text-soft">
        Clearance on the diameter at 10 mm, compared with the start values. Where a feature was both tried and
        measured, the program learns how this shop uses the word and applies it in every job.
      </p>
    </>
  );
}
