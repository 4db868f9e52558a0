'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, useState } from 'react';
import { type Check, CRITERIA } from '@/core/resin';
import {
  describeCheck,
  describeCriterion,
  describeVerdictOfResin,
  describeChange,
} from '@/subjects/resin/choice/shared';
import { describeFamily } from '@/subjects/resin/shelf/shared';
import { Link } from '@/ui';
import { Compare } from './compare';
import type { ResinReasons } from '@/subjects/resin/choice';
import type { ResinRow } from './resin-row';
import { useReasons } from './use-reasons';

const TONES: Readonly<Record<ResinRow['verdict'], string>> = {
  passes: 'text-juniper',
  fails: 'text-plum',
  unknown: 'text-soft',
};

const MARKS: Readonly<Record<Check['state'], string>> = { pass: '✓', fails: '✕', unknown: '?' };

/** Up to so many the list stands whole; a longer one scrolls in its own frame. */
const WHOLE = 12;

const MOST_COMPARED = 3;

/** All resins in order, each with its reasons; these open on a click, and two or three can be compared. */
export function RankedList({ jobId, rows }: { jobId: number; rows: readonly ResinRow[] }) {
  const [compared, setCompared] = useState<readonly number[]>([]);
  const reasons = useReasons(jobId);
  const frame = useRef<HTMLDivElement>(null);
  const isLong = rows.length > WHOLE;
  // eslint-disable-next-line react-hooks/incompatible-library -- the list is redrawn whole at each scroll; nothing of it is memoised
  const items = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => 68,
    overscan: 6,
    enabled: isLong,
  });
  const toggle = (row: ResinRow) => {
    const { id } = row;
    reasons.want(row);
    setCompared((before) =>
      before.includes(id) ? before.filter((each) => each !== id) : [...before, id].slice(-MOST_COMPARED),
    );
  };
  const line = (row: ResinRow) => (
    <Line
      row={row}
      reasons={reasons.of(row)}
      onOpen={() => reasons.want(row)}
      compared={compared.includes(row.id)}
      onCompare={() => toggle(row)}
    />
  );
  return (
    <section aria-labelledby="ranked-title">
      <h2 id="ranked-title" className="border-b border-ink pb-1 text-lg">
        Resins, best first
      </h2>
      {isLong ? (
        <div
          ref={frame}
          className="h-[34rem] overflow-y-auto"
          tabIndex={0}
          role="region"
          aria-label="Ranked resins"
        >
          <div className="relative" style={{ height: items.getTotalSize() }}>
            {items.getVirtualItems().map(({ index, start }) => (
              <div
                key={rows[index].id}
                ref={items.measureElement}
                data-index={index}
                className="absolute inset-x-0 border-b border-hair py-2"
                style={{ transform: `translateY(${start}px)` }}
              >
                {line(rows[index])}
              </div>
            ))}
          </div>
        </div>
      ) : (
        <ul>
          {rows.map((row) => (
            <li key={row.id} className="border-b border-hair py-2">
              {line(row)}
            </li>
          ))}
        </ul>
      )}
      <Compare
        compared={rows
          .filter(({ id }) => compared.includes(id))
          .map((row) => ({ row, reasons: reasons.of(row) }))}
      />
    </section>
  );
}

interface LineProps {
  readonly row: ResinRow;
  readonly reasons?: ResinReasons;
  readonly onOpen: () => void;
  readonly compared: boolean;
  readonly onCompare: () => void;
}

function Line({ row, reasons, onOpen, compared, onCompare }: LineProps) {
  const { id, name, family, verdict, why, pareto, inVatOf, creeps, score, clearForMin } = row;
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <p className="min-w-0">
          <Link href={`/shelf/${id}`} className="text-lg font-semibold hover:underline">
            {name}
          </Link>{' '}
          <span className="text-sm text-soft">
            {describeFamily(family)}
            {inVatOf.length > 0 && ` · in the vat of ${inVatOf.join(', ')}`}
          </span>
        </p>
        <p className="flex items-baseline gap-3">
          {pareto && <span className="text-sm">no other resin is better in every property</span>}
          <span className={`font-semibold ${TONES[verdict]}`}>{describeVerdictOfResin(verdict)}</span>
          {verdict === 'passes' && <span className="num">{Math.round(score * 100)}</span>}
          <label className="flex min-h-6 items-center gap-1.5 text-sm">
            <input type="checkbox" checked={compared} onChange={onCompare} className="size-4" />
            compare<span className="sr-only"> {name}</span>
          </label>
        </p>
      </div>
      <p className={verdict === 'passes' ? '' : 'text-soft'}>
        {why}.{creeps && ' Undiluted, it deforms permanently over time under light and load.'}
        {verdict === 'passes' &&
          clearForMin !== undefined &&
          ` Clear only if cured no longer than ${clearForMin.toFixed(0)} min. After that it yellows.`}
      </p>
      <details onToggle={onOpen}>
        <summary className="text-sm text-soft">
          {verdict === 'passes' ? 'Show margins and score' : 'Show margins and required changes'}
          <span className="sr-only">: {name}</span>
        </summary>
        {reasons === undefined ? (
          <p className="text-sm text-soft">Loading …</p>
        ) : (
          <Reasons passes={verdict === 'passes'} reasons={reasons} />
        )}
      </details>
    </>
  );
}

function Reasons({ passes, reasons }: { passes: boolean; reasons: ResinReasons }) {
  const { checks, changes, merits } = reasons;
  return (
    <div className="mt-1 grid gap-x-8 gap-y-2 pb-1 text-sm sm:grid-cols-2">
      <ul>
        {checks.map((check) => (
          <li key={check.requirement}>
            <span aria-hidden className="num inline-block w-5">
              {MARKS[check.state]}
            </span>
            <span className="sr-only">{check.state} </span>
            {describeCheck(check)}
            {check.quote !== undefined && (
              <span className="text-soft">
                {' '}
                ({check.quote.source === 'proof' ? 'tested here' : check.quote.source}
                {check.quote.condition === 'annealed' && ', only after annealing'})
              </span>
            )}
          </li>
        ))}
        {checks.length === 0 && <li>no requirements yet</li>}
      </ul>
      {passes ? (
        <ul aria-label="Score">
          {CRITERIA.map((criterion) => {
            const merit = merits[criterion];
            return (
              <li key={criterion} className="grid grid-cols-[8rem_minmax(0,1fr)_3rem] items-center gap-2">
                <span>{describeCriterion(criterion)}</span>
                {merit === null ? (
                  <span className="text-soft">not required</span>
                ) : (
                  <span className="h-2 border border-edge" aria-hidden>
                    <span className="block h-full bg-juniper" style={{ width: `${merit * 100}%` }} />
                  </span>
                )}
                <span className="num text-right">{merit === null ? '' : Math.round(merit * 100)}</span>
              </li>
            );
          })}
        </ul>
      ) : (
        <div>
          <p className="font-semibold">To make it pass:</p>
          <ul className="list-disc pl-5">
            {[...new Set(changes.map(describeChange))].map((change) => (
              <li key={change}>{change}</li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
