'use client';

import { formatMm, formatSigned } from '@/core/kit/wording';
import { useState, useTransition } from 'react';
import { v4 as newKey } from 'uuid';
import { FATAL_CODES } from '@/core/job/sheets';
import { describeSheetIssue } from '@/subjects/job/sheets/shared';
import { Button, Note, Problem } from '@/ui';
import { takeOver } from '../actions';
import type { SheetBenchProps } from './sheet-types';

/** What the sheet comes to so far, what keeps it from coming out, and the way into the job. */
export function SheetOutcome({ jobId, features, issues, whole, takenOver, stale }: SheetBenchProps) {
  const [said, setSaid] = useState<Awaited<ReturnType<typeof takeOver>> | undefined>();
  const [pending, start] = useTransition();
  const fatal = issues.filter(({ code }) => FATAL_CODES.has(code));
  const unread = fatal.filter(({ code }) => code === 'notRead');
  const others = issues.filter(({ code }) => code !== 'notRead');
  return (
    <section aria-labelledby="comes-title">
      <h2 id="comes-title" className="mb-2 text-lg">
        Result
      </h2>
      {features.length === 0 && <p className="text-soft">No result yet. Enter the readings first.</p>}
      <table className="w-full border-collapse">
        <caption className="sr-only">Calculated sizes</caption>
        <tbody>
          {features.map(({ id, name, targetMm, lowerDeviationMm, upperDeviationMm }) => (
            <tr key={id} className="border-b border-hair">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                {name}
              </th>
              <td className="num py-1 text-right">
                {formatMm(targetMm, 3)}{' '}
                <span className="text-soft">
                  {formatSigned(lowerDeviationMm)} {formatSigned(upperDeviationMm)}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-2 space-y-2">
        {others.map((issue) =>
          FATAL_CODES.has(issue.code) ? (
            <Problem key={issue.code}>{describeSheetIssue(issue)}</Problem>
          ) : (
            <p key={issue.code} className="border-l-4 border-honey py-1 pl-3">
              {describeSheetIssue(issue)}
            </p>
          ),
        )}
        {unread.length > 0 && (
          <p className="text-soft">
            Still missing:{' '}
            {unread.map((issue) => (issue.code === 'notRead' ? issue.label.toLowerCase() : '')).join(', ')}.
          </p>
        )}
        {whole && (stale.length > 0 || !takenOver) && (
          <Button
            weight="main"
            disabled={pending}
            onClick={() => start(async () => setSaid(await takeOver(newKey(), jobId)))}
          >
            {takenOver ? 'Apply changes to the job' : 'Apply sizes to the job'}
          </Button>
        )}
        {takenOver && stale.length > 0 && (
          <p className="text-soft">Changed since you applied them: {stale.join(', ')}.</p>
        )}
        {said?.message !== undefined &&
          (said.ok ? <Note>{said.message}</Note> : <Problem>{said.message}</Problem>)}
      </div>
    </section>
  );
}
