import { halfWidth95 } from '@/core/kit/numerics';
import { dayOf, formatMm, formatSigned } from '@/core/kit/wording';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { connection } from 'next/server';
import { CheckPieceForm } from '@/app/_components/check-piece-form';
import { InstrumentForm } from '@/app/_components/instrument-form';
import { TakeCheckBack } from '@/app/_components/take-check-back';
import { FIT_WORDS, type FitWord, type WordMeaning } from '@/core/signature';
import { type JawCheck, listInstruments, viewChecks } from '@/subjects/measure/calipers';
import {
  bench,
  benchHouse,
  isAtMachine,
  sharing,
  sharingTrouble,
  viewOriginals,
} from '@/subjects/workshop/settings';
import { describeFitWord } from '@/subjects/kit/shared';
import { glanceAtArchive } from '@/subjects/job/overview';
import { learnShopMeanings } from '@/subjects/signature';
import { Link, Note } from '@/ui';
import { MaintenanceFields } from './_components/maintenance-fields';
import { CheckFields } from './_components/check-fields';
import { BackupButton } from './_components/backup-button';
import { ClassFields } from './_components/class-fields';
import { HouseFields } from './_components/house-fields';
import { OriginalsPanel } from './_components/originals-panel';
import { RestorePanel } from './_components/restore-panel';
import { RunFields } from './_components/run-fields';
import { SharePanel } from './_components/share-panel';
import { PracticeFields } from './_components/practice-fields';
import { ShareFields } from './_components/share-fields';

export const metadata: Metadata = { title: 'Settings' };

/** Settings of the workshop: currency, fit classes, instruments, hand fits, backup. */
export default async function HousePage() {
  await connection();
  // Forms start again after another workshop was restored.
  const { db, folder } = bench();
  const archived = glanceAtArchive(db);
  const isHere = isAtMachine(await headers());
  return (
    <div className="mx-auto grid max-w-5xl gap-8 px-4 py-5 sm:px-6 lg:grid-cols-2">
      <div className="space-y-8">
        <h1 className="text-3xl">Settings</h1>
        {!isHere && (
          <Note>
            You are on a paired device. Here you can read the settings. To change them, to back up or restore,
            and to pair or revoke devices, use the computer that runs the server. Everything else works here.
          </Note>
        )}
        {/* A paired device can only read them. */}
        <fieldset disabled={!isHere} className="space-y-8">
          <section aria-label="Workshop">
            <HouseFields key={folder} {...benchHouse()} />
          </section>
          <section aria-labelledby="classes-title">
            <h2 id="classes-title" className="text-lg">
              Fit classes
            </h2>
            <ClassFields key={folder} classes={benchHouse().fitClasses} />
          </section>
          <section aria-labelledby="check-title">
            <h2 id="check-title" className="text-lg">
              Check limits
            </h2>
            <p className="mb-3 text-sm text-soft">
              Shops use different limits: some accept walls of two pixels, some of six; some print a whole
              face on supports. Set your limits here.
            </p>
            <CheckFields key={folder} rules={benchHouse().check} />
          </section>
          <section aria-labelledby="shares-title">
            <h2 id="shares-title" className="text-lg">
              Related profiles
            </h2>
            <p className="mb-2 text-sm text-soft">
              A profile without readings starts from profiles with the same printer or resin. Printer effects
              (out of square, exposure gradient, plate) are shared by printer; resin effects (shrinkage, cure
              below overhangs) by resin. The numbers are default values.
            </p>
            <details>
              <summary className="font-semibold">Shares</summary>
              <div className="mt-2">
                <ShareFields key={folder} shares={benchHouse().shares} />
              </div>
            </details>
          </section>
          <section aria-labelledby="hours-title">
            <h2 id="hours-title" className="mb-2 text-lg">
              Working hours and costs
            </h2>
            <RunFields key={folder} run={benchHouse().run} />
          </section>
          <section aria-labelledby="care-title">
            <h2 id="care-title" className="mb-2 text-lg">
              Maintenance
            </h2>
            <MaintenanceFields key={folder} care={benchHouse().care} />
            <p className="mt-3 text-sm">
              <Link href="/house/causes" className="underline">
                Failure causes
              </Link>
              : the chance of each cause, with reasons.
            </p>
          </section>
        </fieldset>
        <section aria-labelledby="share-title">
          <h2 id="share-title" className="text-lg">
            Phones and tablets
          </h2>
          {isHere ? (
            <Shared />
          ) : (
            <p className="text-soft">Pair and revoke devices on the computer that runs the server.</p>
          )}
        </section>
        {isHere && <Backup />}
      </div>
      <div className="space-y-8">
        <Calipers />
        <section aria-labelledby="words-title">
          <h2 id="words-title" className="text-lg">
            Hand-fit words in this shop
          </h2>
          <ShopMeanings meanings={learnShopMeanings(db)} />
        </section>
        <section aria-labelledby="schools-title">
          <h2 id="schools-title" className="mb-2 text-lg">
            Shop practice
          </h2>
          <fieldset disabled={!isHere}>
            <PracticeFields key={folder} {...benchHouse()} />
          </fieldset>
        </section>
        <section aria-labelledby="away-title">
          <h2 id="away-title" className="text-lg">
            Archived jobs
          </h2>
          {archived.length === 0 && (
            <p className="text-soft">No archived jobs. You can archive a job in Need and restore it here.</p>
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

/** Backup and restore, and the replaced workshops. */
function Backup() {
  return (
    <section aria-labelledby="backup-title">
      <h2 id="backup-title" className="text-lg">
        Backup
      </h2>
      <p className="mb-3 text-soft">All data in one file: readings, signatures and parts.</p>
      <BackupButton />
      <RestorePanel />
      <OriginalsPanel {...viewOriginals()} />
    </section>
  );
}

/** Devices that may reach the server. */
function Shared() {
  const share = sharing();
  return (
    <SharePanel
      origin={share?.origin}
      devices={(share?.list() ?? []).map(({ id, name, pairedAt }) => ({ id, name, pairedAt }))}
      trouble={sharingTrouble()}
      // The page is rendered at each request: its clock is that of the answer.
      // eslint-disable-next-line react-hooks/purity
      serverNow={Date.now()}
    />
  );
}

/** The calipers, the results of their last checks, and a form for another one. */
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
              limit of error <span className="num">{formatMm(mpeMm, 3)}</span>, resolution{' '}
              <span className="num">{resolutionMm}</span>, jaw flats{' '}
              {jawFlatMm === null ? 'unknown' : <span className="num">{formatMm(jawFlatMm)}</span>}
              {simulatedSeed !== null && ', simulated'}
            </span>
            <Checks instrumentId={id} checks={viewChecks(db, id)} />
            <details className="mt-1">
              <summary className="text-sm underline">Check on a reference piece</summary>
              <p className="my-2 max-w-prose text-sm text-soft">
                A gauge block, pin or ring shows the error of the jaws in a minute. Wipe both and measure
                three times. The result corrects everything measured with this caliper.
              </p>
              <CheckPieceForm instrumentId={id} name={name} />
            </details>
          </li>
        ))}
      </ul>
      <details>
        <summary className="font-semibold">Add caliper</summary>
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
    return <p className="text-sm text-soft">Not checked yet. The program uses the limit of error instead.</p>;
  return (
    <ul className="text-sm">
      {checks.map(({ jaw, piece, offMm, count, lastAt, lastId }) => (
        <li key={jaw}>
          {jaw} jaws: <span className="num">{formatSigned(offMm, 3)} mm</span> on {piece},{' '}
          {count === 1 ? 'one reading' : `read ${count} times`}, {dayOf(lastAt)} (
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
        <caption className="sr-only">Shift of each word from its default clearance</caption>
        <tbody>
          {FIT_WORDS.map((word) => {
            const { shiftMm, sdMm, count } = meanings[word];
            return (
              <tr key={word} className="border-b border-hair">
                <th scope="row" className="py-1 text-left font-semibold">
                  {describeFitWord(word)}
                </th>
                <td className="py-1 text-sm text-soft">
                  {count === 0 ? 'default' : `${count} checked with the caliper`}
                </td>
                <td className="num py-1 text-right">
                  {formatSigned(shiftMm, 3)} ± {formatMm(halfWidth95(sdMm), 3)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-1 text-sm text-soft">
        Clearance on the diameter at 10 mm, compared with the defaults. When a feature has both a hand fit and
        a measurement, the program learns how this shop uses the word and applies it in every job.
      </p>
    </>
  );
}
