import { dayOf, describeKind, formatMm, formatSigned, listAnd } from '@/subjects/language/shared';
import type { ChangeView, SignatureView } from '@/subjects/printing';
import { describeChange, describeVoided, parameterWords } from '@/subjects/printing/shared';
import { Link } from '@/ui';
import { ChangeForm } from './change-form';
import { SettingsForm } from './settings-form';
import { TakeBackChange } from './take-back-change';

/** What a profile is printed under, what changed, what that voided and what settles it. */
export function Changes({ view: { row, changes } }: { view: SignatureView }) {
  const { profile } = row;
  const settings = { ...profile.settings, lot: profile.lot, layerMm: profile.layerMm };
  const facts = [
    `layers of ${formatMm(profile.layerMm, 3)} mm`,
    settings.exposureS === undefined ? '' : `${settings.exposureS} s a layer`,
    settings.bottomLayers === undefined ? '' : `${settings.bottomLayers} bottom layers`,
    settings.transitionLayers === undefined ? '' : `${settings.transitionLayers} transition layers`,
    settings.lot,
    settings.film === undefined ? '' : `film: ${settings.film}`,
    settings.wash === undefined ? '' : `wash: ${settings.wash}`,
    settings.cure === undefined ? '' : `cure: ${settings.cure}`,
  ];
  return (
    <section aria-labelledby="changes-title" className="mt-6">
      <h2 id="changes-title" className="text-lg">
        What it is printed under
      </h2>
      <p>{facts.filter((fact) => fact !== '').join(' · ')}</p>
      <ol className="mt-2 space-y-2">
        {changes.map((change, i) => (
          <li
            key={change.change.id}
            className={i === 0 ? 'border-l-4 border-honey py-1 pl-3' : 'pl-4 text-sm'}
          >
            <ChangeLine change={change} />
            {i === 0 && <TakeBackChange profileId={profile.id} changeId={change.change.id} />}
          </li>
        ))}
      </ol>
      <details className="mt-3">
        <summary>Write it down: never said, or said wrong</summary>
        <div className="mt-2">
          <SettingsForm profileId={profile.id} settings={settings} />
        </div>
      </details>
      <details className="mt-2">
        <summary className="font-semibold">Something changed</summary>
        <p className="mt-1 mb-2 max-w-prose text-sm text-soft">
          What was learned before tells less of what comes after, each change in its own way. Sizes that were
          drawn and not printed yet are opened again.
        </p>
        <ChangeForm profileId={profile.id} settings={settings} />
      </details>
    </section>
  );
}

/** How far an exposure is known to have moved the edges. */
function movedWords({ moved }: ChangeView): string {
  if (moved?.edge === undefined || moved.zSupported === undefined) return '';
  const { edge, zSupported } = moved;
  return ` The other exposure moves every edge by about ${formatSigned(edge.mean, 3)} mm and what hangs by ${formatSigned(zSupported.mean, 3)} mm.`;
}

/** Share of what is open below which one more size is not worth naming. */
const WORTH_A_PRINT = 0.1;

function ChangeLine({ change }: { change: ChangeView }) {
  const { givenBack, readingsSince, settling, open = [] } = change;
  const words = describeChange(change.change);
  return (
    <>
      <p>
        <strong>
          {dayOf(change.change.at)}: {words}
        </strong>
        {change.change.note !== '' && `, ${change.change.note}`}.
      </p>
      <p className="text-sm">
        Less is known of {describeVoided(givenBack)}.{movedWords(change)}{' '}
        {readingsSince === 0 ? 'Nothing was read since.' : `${readingsSince} readings since.`}
      </p>
      {settling !== undefined && settling.share < WORTH_A_PRINT && (
        <p className="text-sm">
          No single size would settle much:{' '}
          <Link href={`/gauges?choice=shortBlock&profile=${change.change.profileId}`} className="underline">
            a block of six
          </Link>{' '}
          does.
        </p>
      )}
      {settling !== undefined && settling.share >= WORTH_A_PRINT && (
        <p className="text-sm">
          {open.length > 0 &&
            `Still open: ${listAnd(open.map((name) => parameterWords(name).title.toLowerCase()))}. `}
          One size settles most:{' '}
          <strong>
            {formatMm(settling.candidate.drawnMm)} mm, {describeKind(settling.candidate.kind)}
          </strong>
          , read three times on the next print, takes back {Math.round(100 * settling.share)} % of what is
          open.
        </p>
      )}
    </>
  );
}
