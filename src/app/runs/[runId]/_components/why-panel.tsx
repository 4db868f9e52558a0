import { keysOf } from '@/core/kit';
import { describeFinding } from '@/core/part/findings';
import { dayOf, listAnd } from '@/core/kit/wording';
import { type ByCause, type Cause, causeOf, COMMON_WORDS, describeEvidence } from '@/core/log';
import type { CaseView } from '@/subjects/log';
import { describeChange, describeSettingChange } from '@/subjects/signature/shared';
import { Link } from '@/ui';
import { CauseFound } from './cause-found';
import { DecidingTests } from './deciding-tests';
import { TwinHeights } from './twin-heights';

interface WhyPanelProps {
  readonly view: CaseView;
  /** Of a simulated printer, and whether it still has a fault; undefined for a real one. */
  readonly simulated?: { readonly ails: boolean };
}

/** Likely causes of a failure, and the test that would be most informative. */
export function WhyPanel({ view, simulated }: WhyPanelProps) {
  const {
    run,
    failures,
    causes,
    named,
    reasons,
    tests,
    checked,
    changes,
    found,
    tables,
    loss,
    height,
    noted,
  } = view;
  const { kind } = failures.at(-1)!;
  const shown = causes.filter(({ chance }, i) => i < 3 || chance >= 0.1).slice(0, 5);
  return (
    <section aria-labelledby="why-title" className="mt-8">
      <h2 id="why-title" className="text-lg">
        Likely causes
      </h2>
      <p className={`border-l-4 py-1 pl-3 ${named === undefined ? 'border-honey' : 'border-juniper'}`}>
        {named === undefined
          ? 'Not enough data: no single cause is more likely than all others together. One test tells more than a random change.'
          : `Likely ${causeOf(named).words}. ${causeOf(named).repair}`}
      </p>
      <div className="mt-3 grid gap-8 *:min-w-0 lg:grid-cols-2">
        <div>
          <table className="w-full border-collapse" aria-label="Causes">
            <tbody>
              {shown.map(({ cause, chance }) => (
                <tr key={cause} className="border-b border-hair">
                  <th scope="row" className="py-1 pr-3 text-left font-normal">
                    {causeOf(cause).words}
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
          <h3 className="mt-4 font-semibold">Evidence</h3>
          <ul className="list-disc pl-5 text-sm">
            {reasons.slice(0, 6).map(({ evidence, seen, ln }) => (
              <li key={evidence}>
                {describeEvidence(evidence, seen, kind)}: {speaksFor(ln)}
                {evidence !== 'kind' && seen && (
                  <span className="text-soft">; {tables.evidence[evidence].why}</span>
                )}
              </li>
            ))}
          </ul>
          <p className="text-sm">
            <Link href="/house/causes" className="underline">
              Edit the start chances
            </Link>
          </p>
          {loss !== undefined && (
            <p className="mt-2 text-sm">
              <strong>Loss:</strong> <span className="num">{loss.hours.toFixed(1)}</span> printer hours,{' '}
              <span className="num">{Math.round(loss.ml)}</span> ml resin, cost{' '}
              <span className="num">{loss.money.toFixed(1)}</span>.
            </p>
          )}
          <WhereLine view={view} />
          {height !== undefined && <TwinHeights height={height} plannedS={run.plan?.plannedS ?? 0} />}
          {checked.length > 0 && (
            <p className="mt-2 text-sm">
              Check reported there:{' '}
              {checked
                .slice(0, 3)
                .map(({ job, finding }) => `${job}: ${describeFinding(finding).title}`)
                .join('; ')}{' '}
              .
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

/** A cause that evidence favours by less than this is not named, ln of the odds. */
const TELLING_LN = 0.5;

/** Causes that a piece of evidence speaks for most. */
function speaksFor(ln: ByCause<Cause>): string {
  const sorted = keysOf(ln).sort((a, b) => ln[b] - ln[a]);
  const most = sorted.filter((cause) => ln[cause] > TELLING_LN).slice(0, 2);
  const quote = (cause: Cause) => `“${causeOf(cause).words}”`;
  return most.length > 0 ? `for ${listAnd(most.map(quote))}` : `against ${quote(sorted.at(-1)!)}`;
}

function WhereLine({ view: { where, printsLookedAt } }: { view: CaseView }) {
  const { verdict } = where;
  const prints = printsLookedAt === 1 ? 'this print' : `${printsLookedAt} failed prints of this printer`;
  return (
    <p className="mt-3 text-sm">
      <strong>Location:</strong>{' '}
      {verdict.code === 'tooFew' &&
        `Only ${verdict.failures === 1 ? 'one failure' : `${verdict.failures} failures`} recorded: not enough data to see whether failures cluster. Mark the place of the next failure too.`}
      {verdict.code === 'told' &&
        `failures of ${prints} cluster ${listAnd(verdict.common.map((common) => COMMON_WORDS[common]))}. This is unlikely to be chance.`}
      {verdict.code === 'notTold' &&
        `failures of ${prints} do not cluster more than expected by chance${verdict.power === undefined || verdict.power < 0.5 ? '; with so few failures, a real cluster often stays hidden' : ''}.`}
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
    return <p className="mt-2 text-sm">No recorded change since the last good print.</p>;
  return (
    <div className="mt-2 text-sm">
      <p>Recorded changes since the last good print:</p>
      <ul className="list-disc pl-5">
        {changes.map((change) => (
          <li key={change.name}>{describeSettingChange(change)}</li>
        ))}
        {noted.map((change) => (
          <li key={change.id}>
            {describeChange(change)}, {dayOf(change.at)}:{' '}
            {change.note === '' ? (
              <Link href={`/printers/${profileId}#changes-title`} className="underline">
                no reason given
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
