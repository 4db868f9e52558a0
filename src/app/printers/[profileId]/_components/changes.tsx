import { dayOf, formatMm, formatSigned, listAnd } from '@/core/kit/wording';
import { describeKind, parameterWords } from '@/subjects/kit/shared';
import type { ChangeView, SignatureView } from '@/subjects/signature';
import { describeChange, describeVoided } from '@/subjects/signature/shared';
import { Link } from '@/ui';
import { ChangeForm } from './change-form';
import { SettingsForm } from './settings-form';
import { TakeBackChange } from './take-back-change';

/** Print settings of a profile, what changed, what became invalid and what to measure. */
export function Changes({ view: { row, changes } }: { view: SignatureView }) {
  const { profile } = row;
  const settings = { ...profile.settings, lot: profile.lot, layerMm: profile.layerMm };
  const facts = [
    `${formatMm(profile.layerMm, 3)} mm layers`,
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
        Print settings
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
        <summary>Enter or correct the settings</summary>
        <div className="mt-2">
          <SettingsForm profileId={profile.id} settings={settings} />
        </div>
      </details>
      <details className="mt-2">
        <summary className="font-semibold">Record a change</summary>
        <p className="mt-1 mb-2 max-w-prose text-sm text-soft">
          Readings from before a change count less for later prints; how much less depends on the change.
          Sizes that are drawn but not printed yet are reopened.
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
  return ` The new exposure moves every edge by about ${formatSigned(edge.mean, 3)} mm and overhangs by ${formatSigned(zSupported.mean, 3)} mm.`;
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
        Now less certain: {describeVoided(givenBack)}.{movedWords(change)}{' '}
        {readingsSince === 0 ? 'No readings since.' : `${readingsSince} readings since.`}
      </p>
      {settling !== undefined && settling.share < WORTH_A_PRINT && (
        <p className="text-sm">
          No single size reduces the uncertainty much. Use{' '}
          <Link href={`/gauges?choice=shortBlock&profile=${change.change.profileId}`} className="underline">
            a block of six sizes
          </Link>
          .
        </p>
      )}
      {settling !== undefined && settling.share >= WORTH_A_PRINT && (
        <p className="text-sm">
          {open.length > 0 &&
            `Still uncertain: ${listAnd(open.map((name) => parameterWords(name).title.toLowerCase()))}. `}
          Best size to measure:{' '}
          <strong>
            {formatMm(settling.candidate.drawnMm)} mm, {describeKind(settling.candidate.kind)}
          </strong>
          , read three times on the next print, removes {Math.round(100 * settling.share)} % of the
          uncertainty.
        </p>
      )}
    </>
  );
}
