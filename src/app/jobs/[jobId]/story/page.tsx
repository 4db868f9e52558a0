import { ANSWER_WORDS } from '@/core/job/need';
import { formatChance, formatMm } from '@/core/kit/wording';
import { describeDecided } from '@/subjects/part/shared';
import { connection } from 'next/server';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import { stripOf } from '@/app/_components/strip-of';
import { listVerdicts } from '@/subjects/part';
import type { PrintedJoint } from '@/subjects/fit/mating';
import { describeJointFound } from '@/subjects/fit/mating/shared';
import { bench } from '@/subjects/workshop/settings';
import type { FeatureView, PrintView } from '@/subjects/job/jobs';
import {
  describeFitWord,
  describeConverted,
  describeOtherState,
  describeOutcome,
  describeVerdict,
} from '@/subjects/kit/shared';
import { listAnswers, standingAnswer } from '@/subjects/job/need';
import { type AttemptChange, type AttemptStory, tellStory } from '@/subjects/job/overview';
import { Link, RuleStrip, toneOf } from '@/ui';
import { AcceptancePanel } from './_components/acceptance-panel';

/** History: the need, each attempt with its result, and the acceptance test. */
export default async function StoryPage({ params }: { params: Promise<{ jobId: string }> }) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const { db } = bench();
  const view = await loadJob(jobId);
  const story = tellStory(db, view);
  const answers = listAnswers(db, jobId);
  const verdicts = listVerdicts(db, jobId);
  const { job } = view;
  return (
    <div className="space-y-6">
      <section aria-labelledby="asked-title" className="max-w-prose">
        <h2 id="asked-title" className="text-lg">
          Requirements
        </h2>
        <p>{job.need === '' ? <span className="text-soft">No requirements entered yet.</span> : job.need}</p>
        {job.acceptance !== '' && (
          <p className="mt-1">
            <strong>Acceptance test:</strong> {job.acceptance}
          </p>
        )}
        {(job.quantity > 1 || job.dueOn !== '') && (
          <p className="mt-1 text-soft">
            {job.quantity > 1 && (
              <>
                Quantity: <span className="num">{job.quantity}</span>
              </>
            )}
            {job.quantity > 1 && job.dueOn !== '' && ', '}
            {job.dueOn !== '' && (
              <>
                Due: <span className="num">{job.dueOn}</span>
              </>
            )}
          </p>
        )}
      </section>
      {job.acceptance !== '' && view.current?.printId !== undefined && (
        <AcceptancePanel
          jobId={jobId}
          printName={view.current.printName ?? ''}
          answer={standingAnswer(db, job)}
        />
      )}
      {verdicts.length > 0 && (
        <section aria-labelledby="decided-title" className="max-w-prose">
          <h2 id="decided-title" className="text-lg">
            Decisions before printing
          </h2>
          <ul className="border-t border-hair">
            {verdicts.map(({ id, finding, verdict, reason }) => (
              <li key={id} className="border-b border-hair py-1">
                <span className="font-semibold">{verdict === 'waived' ? 'Waived' : 'Passed'}</span>:{' '}
                {describeDecided(finding)}
                {reason !== '' && <span className="text-soft">, {reason}</span>}
              </li>
            ))}
          </ul>
        </section>
      )}
      {story.length === 0 && (
        <p className="text-soft">
          No attempt yet. Start one in{' '}
          <Link href={`/jobs/${jobId}/correct`} className="underline">
            Correct
          </Link>
          . It then appears here.
        </p>
      )}
      <ol className="space-y-6">
        {story.map((attempt) => (
          <li key={attempt.number}>
            <Attempt attempt={attempt} answers={answers} />
          </li>
        ))}
      </ol>
    </div>
  );
}

type Answers = ReturnType<typeof listAnswers>;

function Attempt({ attempt, answers }: { attempt: AttemptStory; answers: Answers }) {
  const { number, outcome, reason, changes, prints, lever } = attempt;
  return (
    <section aria-label={`Attempt ${number}`}>
      <h2 className="flex flex-wrap items-baseline gap-x-3 border-b border-ink pb-1 text-xl">
        Attempt {number}
        <span className="font-sans text-base font-medium">{describeOutcome(outcome)}</span>
      </h2>
      {(reason !== '' || changes.length > 0) && (
        <div className="my-2 grid gap-x-8 gap-y-1 sm:grid-cols-2">
          {reason !== '' && (
            <p>
              <strong>Why:</strong> {reason}
            </p>
          )}
          {changes.length > 0 && (
            <div>
              <strong>Changes{lever === 'mesh' ? ', the whole file corrected' : ''}:</strong>
              <ul>
                {changes.map((change) => (
                  <li key={JSON.stringify(change)}>{describeChange(change)}</li>
                ))}
              </ul>
            </div>
          )}
        </div>
      )}
      {prints.map((print) => (
        <div key={print.printId ?? 0}>
          <PrintTable print={print} answers={answers} />
          <JointLines joints={print.joints} />
          {print.despite !== '' && <p className="text-sm">Printed with open findings: {print.despite}</p>}
        </div>
      ))}
    </section>
  );
}

function describeChange(change: AttemptChange) {
  switch (change.kind) {
    case 'drawn':
      return (
        <>
          {change.feature} drawn{' '}
          <span className="num">
            {formatMm(change.fromMm, 3)} → {formatMm(change.toMm, 3)}
          </span>
        </>
      );
    case 'added':
      return (
        <>
          {change.feature} is new, drawn <span className="num">{formatMm(change.drawnMm, 3)}</span>
        </>
      );
    case 'profile':
      return 'printer, resin or profile changed';
    case 'lever':
      return change.to === 'mesh' ? 'put right on the whole file' : 'put right by drawing its sizes';
    case 'file':
      return 'part file changed';
  }
}

function PrintTable({
  print: { printId, printName, brokenNote, features },
  answers,
}: {
  print: PrintView;
  answers: Answers;
}) {
  const answer = printId === undefined ? undefined : answers.get(printId);
  return (
    <table className="mt-1 w-full border-collapse">
      <caption className="text-left text-sm text-soft">
        {printName === undefined ? 'not printed yet' : `print ${printName}`}
        {brokenNote !== undefined && brokenNote !== '' && `, broken: ${brokenNote}`}
        {answer !== undefined && (
          <strong className="text-ink">
            {' '}
            · acceptance test {ANSWER_WORDS[answer.answer]}
            {answer.note !== '' && `: ${answer.note}`}
          </strong>
        )}
      </caption>
      <thead className="sr-only">
        <tr>
          <th>Feature</th>
          <th>Drawn</th>
          <th>Deviation in the limits</th>
          <th>Size</th>
        </tr>
      </thead>
      <tbody>
        {features.map((feature) => (
          <FeatureLine key={feature.id} feature={feature} />
        ))}
      </tbody>
    </table>
  );
}

/** Joints of a print and what the hand found of each. */
function JointLines({ joints }: { joints: readonly PrintedJoint[] }) {
  if (joints.length === 0) return null;
  return (
    <ul aria-label="Joints">
      {joints.map(({ id, name, gapMm = 0, free, found, floppy, verdict }) => (
        <li key={id} className="flex flex-wrap items-baseline gap-x-4 border-b border-hair py-1">
          <span className="w-36 font-semibold">{name}</span>
          <span className="text-sm text-soft">
            drawn gap <span className="num">{formatMm(gapMm, 3)}</span>
            {free !== undefined && (
              <>
                , expected chance to come free <span className="num">{formatChance(free)}</span>
              </>
            )}
          </span>
          <span
            className={`font-medium ${verdict === undefined ? 'text-soft' : verdict.kind === 'in' ? 'text-juniper' : 'text-plum'}`}
          >
            {found === undefined ? 'not tried' : describeJointFound(found, floppy)}
          </span>
        </li>
      ))}
    </ul>
  );
}

function FeatureLine({ feature }: { feature: FeatureView }) {
  const { name, drawnMm, size, verdict, otherState, converted, word, pushN } = feature;
  return (
    <tr className="border-b border-hair align-middle">
      <th scope="row" className="w-36 py-1 pr-3 text-left font-semibold">
        {name}
        {word !== undefined && (
          <span className="block text-sm font-normal text-soft">
            hand fit: {describeFitWord(word)}
            {pushN !== undefined && `, pushed with ${pushN} N`}
          </span>
        )}
      </th>
      <td className="num hidden w-28 py-1 pr-3 text-sm text-soft sm:table-cell">
        {drawnMm === undefined ? '' : `drawn ${formatMm(drawnMm, 3)}`}
      </td>
      <td className="hidden py-1 pr-3 sm:table-cell">
        <RuleStrip
          {...stripOf(feature)}
          words={`${name}: ${verdict === undefined ? 'not judged' : describeVerdict(verdict)}`}
          tone={toneOf(verdict)}
          showWords={false}
        />
      </td>
      <td className="num w-44 py-1">
        {size === undefined ? (
          <span className="font-sans text-soft">not measured</span>
        ) : (
          <>
            {formatMm(size.sizeMm, 3)} ± {formatMm(size.expandedU_mm, 3)}
            <span className="block font-sans text-sm font-medium">
              {verdict && describeVerdict(verdict)}
              {otherState && describeOtherState(otherState)}
            </span>
            {converted && <span className="block font-sans text-sm">{describeConverted(converted)}</span>}
          </>
        )}
      </td>
    </tr>
  );
}
