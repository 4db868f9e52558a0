import { describeOutcome } from '@/subjects/kit/shared';
import type { JobGlance, NextStep } from '@/subjects/job/overview';
import { Link } from '@/ui';
import { SmallProgress } from './small-progress';
import { jobStepsOf } from './job-steps';

/** What the next step of a job is called as a thing to do. */
export const NEXT: Readonly<Record<NextStep, string>> = {
  need: 'Enter requirements',
  resin: 'Choose a resin',
  fit: 'Review the fits',
  check: 'Check the layers',
  run: 'Post-process',
  measure: 'Measure',
  correct: 'Correct the sizes',
  story: 'View history',
};

const DAY_MS = 86_400_000;

/** since today · since yesterday · for 12 days */
export function describeSince(since: Date, now: Date): string {
  const days = Math.floor(now.getTime() / DAY_MS) - Math.floor(since.getTime() / DAY_MS);
  if (days <= 0) return 'since today';
  return days === 1 ? 'since yesterday' : `for ${days} days`;
}

function progressOf({ attempt, read, of, kind, joints, outcome, openLosses }: JobGlance): string {
  if (attempt === 0 && of === 0 && joints > 0)
    return `${joints} ${joints === 1 ? 'joint' : 'joints'} designed, no attempt yet`;
  if (attempt === 0) return `${of} ${of === 1 ? 'size' : 'sizes'}, no attempt yet`;
  if (kind === 'gauge') return `${read} of ${of} steps or sizes recorded`;
  const open = openLosses === 0 ? '' : `; ${openLosses} open ${openLosses === 1 ? 'finding' : 'findings'}`;
  return `attempt ${attempt}, ${describeOutcome(outcome)}${open}`;
}

export function processOf({ printer, resin }: JobGlance): string {
  return printer === '' ? '' : `${resin} on ${printer}`;
}

interface JobListProps {
  readonly title: string;
  readonly glances: readonly JobGlance[];
  readonly now: Date;
}

/** Jobs with their thread in small, what is next and since when it waits. */
export function JobList({ title, glances, now }: JobListProps) {
  return (
    <section className="mt-6" aria-label={title}>
      <h2 className="border-b border-ink pb-1 text-lg">{title}</h2>
      <ul>
        {glances.map((glance) => (
          <JobLine key={glance.id} glance={glance} now={now} />
        ))}
      </ul>
    </section>
  );
}

function JobLine({ glance, now }: { glance: JobGlance; now: Date }) {
  const steps = jobStepsOf(glance.kind).map((each) => ({ ...each, settled: glance.settled[each.step] }));
  const next = steps.find(({ step }) => step === glance.step)?.label ?? '';
  const process = processOf(glance);
  return (
    <li className="grid items-center gap-x-5 gap-y-1 border-b border-hair py-2.5 sm:grid-cols-[minmax(0,1fr)_auto_11rem]">
      <div className="min-w-0">
        <Link href={`/jobs/${glance.id}/${glance.step}`} className="text-lg font-semibold hover:underline">
          {glance.name}
        </Link>
        <p className="text-sm text-soft">
          {progressOf(glance)}
          {process !== '' && ` · ${process}`}
        </p>
      </div>
      <SmallProgress steps={steps} next={next} />
      <p className="text-sm">
        {glance.done ? (
          <span className="text-soft">Done</span>
        ) : (
          <>
            {NEXT[glance.step]}
            <span className="block text-soft">waiting {describeSince(glance.since, now)}</span>
          </>
        )}
      </p>
    </li>
  );
}
