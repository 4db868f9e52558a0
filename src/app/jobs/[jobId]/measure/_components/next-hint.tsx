'use client';

import { plural } from '@/core/kit/wording';
import { outcomeOf } from '@/core/measure';
import type { FeatureView } from '@/subjects/job/jobs';
import { Button, buttonLook, Link } from '@/ui';
import { countedReadings, READINGS_EACH } from './reading-order';

interface NextHintProps {
  readonly features: readonly FeatureView[];
  readonly counts: ReadonlyMap<number, number>;
  readonly activeId: number;
  readonly jobId: number;
  readonly onAgain: (featureId: number) => void;
}

/** What to do next: more readings, another feature, or the next step of the job. */
export function NextHint({ features, counts, activeId, jobId, onAgain }: NextHintProps) {
  const left = features.filter(({ id }) => (counts.get(id) ?? 0) < READINGS_EACH && id !== activeId);
  const outcome = outcomeOf(features, true);
  const settled = features.every(({ readings }) => countedReadings(readings).length >= READINGS_EACH);
  if (!settled) {
    const active = features.find(({ id }) => id === activeId);
    const missing = Math.max(1, READINGS_EACH - (counts.get(activeId) ?? 0));
    return (
      <p className="mt-3 bg-wash px-3 py-2">
        <strong>Next:</strong>{' '}
        {left.length === 0
          ? `${plural(missing, 'more reading', 'more readings')} of ${active?.name}, the last size.`
          : `${left[0].name}${left.length > 1 ? `, then ${left.length - 1} more` : ''}.`}
      </p>
    );
  }
  const unsure = features.find(
    ({ verdict }) =>
      verdict?.kind === 'cantTell' && verdict.settling.kind === 'repeats' && verdict.settling.more <= 5,
  );
  const isIn = outcome.kind === 'in';
  return (
    <div className="mt-3 flex flex-wrap items-center justify-between gap-3 bg-wash px-3 py-2">
      <p>
        <strong>{isIn ? 'All sizes are within limits.' : 'All sizes are measured.'}</strong>{' '}
        {unsure !== undefined && `A few more readings of ${unsure.name} decide it.`}
      </p>
      <span className="flex gap-3">
        {unsure !== undefined && <Button onClick={() => onAgain(unsure.id)}>Read {unsure.name} again</Button>}
        <Link href={`/jobs/${jobId}/${isIn ? 'story' : 'correct'}`} className={buttonLook('main')}>
          {isIn ? 'View history' : 'Correct the sizes'}
        </Link>
      </span>
    </div>
  );
}
