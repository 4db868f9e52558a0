import type { Cause, Evidence } from '@/core/log';
import { dayOf, listAnd } from '@/subjects/language/shared';
import type { CaseView } from '@/subjects/log';
import { CAUSE_WORDS, describeCommon, describeEvidence, MEND_WORDS } from '@/subjects/log/shared';
import { describeChange, describeSettingChange } from '@/subjects/printing/shared';
import { describeFinding } from '@/subjects/check/shared';
import { Link } from '@/ui';
import { CauseFound } from './cause-found';
import { DecidingTests } from './deciding-tests';
import { TwinHeights } from './twin-heights';

interface WhyPanelProps {
  readonly view: CaseView;
  /** Of a simulated printer, and whether anything ails it still; undefined: it is a real one. */
  readonly simulated?: { readonly ails: boolean };
}

/** Why it failed, as far as can be told, and the one test that would tell most. */
export function WhyPanel({ view, simulated }: WhyPanelProps) {
  const { run, causes, named, reasons, tests, checked, changes, found, tables, loss, height, noted } = view;
  const shown = causes.filter(({ chance }, i) => i < 3 || chance >= 0.1).slice(0, 5);
  return (
    <section aria-labelledby="why-title" className="mt-8">
      <h2 id="why-title" className="text-lg">
        Why
      </h2>
      <p className={`border-l-4 py-1 pl-3 ${named === undefined ? 'border-honey' : 'border-juniper'}`}>
        {named === undefined
          ? 'Nobody can tell yet: no cause is likelier than all others together. One test would tell more than a change made blind.'
          : `Likely ${CAUSE_WORDS[named]}. ${MEND_WORDS[named]}`}
      </p>
      <div className="mt-3 grid gap-8 *:min-w-0 lg:grid-cols-2">
        <div>
          <table className="w-full border-collapse" aria-label="Causes">
            <tbody>
              {shown.map(({ cause, chance }) => (
                <tr key={cause} className="border-b border-hair">
                  <th scope="row" className="py-1 pr-3 text-left font-normal">
                    {CAUSE_WORDS[cause]}
                  </th>
                  <td className="w-1/3 py-1">
                    <span
                      aria-hidden
                      className="block h-2.5 bg-juniper"
                      style={{ width: `${Math.round(100 * chance)}%` }}
                    />
                  </td>
                  <td className="num py-1 pl-3 text-right whitespace-nowrap">{Math.round(100 * chance)} %</td>
                </tr>
              ))}
            </tbody>
          </table>
          <h3 className="mt-4 font-semibold">What it is judged by</h3>
          <ul className="list-disc pl-5 text-sm">
            {reasons.slice(0, 6).map(({ evidence, seen, ln }) => (
              <li key={evidence}>
                {describeEvidence(evidence, seen)}: {speaksFor(ln)}
                {evidence in tables.evidence && seen && (
                  <span className="text-soft">; {tables.evidence[evidence as Evidence].why}</span>
                )}
              </li>
            ))}
          </ul>
          <p className="text-sm">
            <Link href="/house/causes" className="underline">
              The chances it goes by
            </Link>
          </p>
          {loss !== undefined && (
            <p className="mt-2 text-sm">
              <strong>Lost:</strong> <span className="num">{loss.hours.toFixed(1)}</span> h of the printer,{' '}
              <span className="num">{Math.round(loss.ml)}</span> ml,{' '}
              <span className="num">{loss.money.toFixed(1)}</span> in the shop’s own money.
            </p>
          )}
          <WhereLine view={view} />
          {height !== undefined && <TwinHeights height={height} plannedS={run.plan?.plannedS ?? 0} />}
          {checked.length > 0 && (
            <p className="mt-2 text-sm">
              Check had said there:{' '}
              {checked
                .slice(0, 3)
                .map(({ job, finding }) => `${job}: ${describeFinding(finding)}`)
                .join(' ')}
            </p>
          )}
          {changes !== undefined && (
            <ChangedSince changes={changes} noted={noted} profileId={run.profileId} />
          )}
        </div>
        <div>
          <DecidingTests runId={run.id} tests={tests} isSimulated={simulated !== undefined} />
          <CauseFound runId={run.id} likeliest={causes[0].cause} found={found} simulated={simulated} />
        </div>
      </div>
    </section>
  );
}

/** Causes that a piece of evidence speaks for most. */
function speaksFor(ln: Readonly<Record<string, number>>): string {
  const sorted = Object.entries(ln).sort((a, b) => b[1] - a[1]);
  const most = sorted.filter(([, each]) => each > 0.5).slice(0, 2);
  if (most.length > 0) return `for ${listAnd(most.map(([cause]) => `“${CAUSE_WORDS[cause as Cause]}”`))}`;
  const least = sorted.at(-1)!;
  return `against “${CAUSE_WORDS[least[0] as Cause]}”`;
}

function WhereLine({ view: { where, printsLookedAt } }: { view: CaseView }) {
  const { verdict } = where;
  const prints = printsLookedAt === 1 ? 'this print' : `${printsLookedAt} failed prints of this printer`;
  return (
    <p className="mt-3 text-sm">
      <strong>Where:</strong>{' '}
      {verdict.code === 'tooFew' &&
        `${verdict.failures === 1 ? 'one failure' : `${verdict.failures} failures`} on record: too few to tell whether they come together. Tap the place of the next one too.`}
      {verdict.code === 'told' &&
        `failures of ${prints} come together ${listAnd(verdict.common.map(describeCommon))}; chance alone would hardly do it.`}
      {verdict.code === 'notTold' &&
        `failures of ${prints} do not come together more than chance would have it${verdict.power === undefined || verdict.power < 0.5 ? '; with so few, a true place would often go unseen' : ''}.`}
    </p>
  );
}

interface ChangedSinceProps {
  readonly changes: NonNullable<CaseView['changes']>;
  readonly noted: CaseView['noted'];
  readonly profileId: number;
}

/** The difference to the last good print, each noted change with its reason, or the question for it. */
function ChangedSince({ changes, noted, profileId }: ChangedSinceProps) {
  if (changes.length + noted.length === 0)
    return <p className="mt-2 text-sm">Nothing that is on record changed since the last good print.</p>;
  return (
    <div className="mt-2 text-sm">
      <p>Changed since the last good print:</p>
      <ul className="list-disc pl-5">
        {changes.map((change) => (
          <li key={change.name}>{describeSettingChange(change)}</li>
        ))}
        {noted.map((change) => (
          <li key={change.id}>
            {describeChange(change)}, {dayOf(change.at)}:{' '}
            {change.note === '' ? (
              <Link href={`/printers/${profileId}#changes-title`} className="underline">
                no reason was given
              </Link>
            ) : (
              change.note
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
