'use client';

import {
  cautionsOf,
  CHANCE_WORDS,
  type Clock,
  describeFinding,
  type Finding,
  RISK_WORDS,
} from '@/core/part/findings';
import { describeWhere, findingForm } from '@/subjects/part/shared';
import { ActionForm, Button, Caution, TextField } from '@/ui';
import type { CheckFound } from '@/workers';
import { judge } from '../actions';

export type Verdicts = Readonly<
  Record<string, { readonly verdict: 'passed' | 'waived'; readonly reason: string }>
>;

interface FindingsListProps {
  readonly jobId: number;
  readonly found: CheckFound;
  readonly clock: Clock;
  readonly verdicts: Verdicts;
  readonly activeIndex: number | undefined;
  /** Support tip that the resin's sheet asks for, mm. */
  readonly tipMm: number | undefined;
  readonly onShow: (index: number) => void;
}

const formatHours = (hours: number) =>
  hours < 1 ? `${Math.max(1, Math.round(60 * hours))} min` : `${hours.toFixed(1)} h`;

/** The findings in the order of what they will cost; each can be shown, passed or waived with a reason. */
export function FindingsList(props: FindingsListProps) {
  const { jobId, found, clock, verdicts, activeIndex, tipMm, onShow } = props;
  const { findings, whole } = found;
  if (findings.length === 0)
    return whole ? (
      <p className="mt-2 border-l-4 border-juniper bg-sheet px-3 py-2">
        No findings: no islands, no suction cups, no walls or gaps too small for this printer.
      </p>
    ) : (
      <p className="mt-2 text-soft">No findings so far. Slower checks are still running.</p>
    );
  return (
    <>
      {!whole && (
        <p className="mt-1 text-sm text-soft">First findings. The slower checks are still running.</p>
      )}
      <ol className="mt-2 border-t border-hair">
        {findings.map((finding, index) => (
          <Item
            key={finding.key}
            {...{ jobId, finding, clock, index, tipMm, onShow }}
            verdict={verdicts[finding.key]}
            isActive={index === activeIndex}
            canJudge={whole}
          />
        ))}
      </ol>
      {cautionsOf(findings).map((caution) => (
        <Caution key={caution}>{caution}</Caution>
      ))}
    </>
  );
}

interface ItemProps {
  readonly jobId: number;
  readonly finding: Finding;
  readonly clock: Clock;
  readonly index: number;
  readonly verdict: Verdicts[string] | undefined;
  readonly isActive: boolean;
  readonly canJudge: boolean;
  readonly tipMm: number | undefined;
  readonly onShow: (index: number) => void;
}

function Item({ jobId, finding, clock, index, verdict, isActive, canJudge, tipMm, onShow }: ItemProps) {
  const { title, does, mend, changes } = describeFinding(finding, tipMm);
  const where = describeWhere(finding, clock);
  return (
    <li className={`border-b border-hair py-2 pl-2 ${isActive ? 'border-l-4 border-l-juniper' : ''}`}>
      <button
        type="button"
        onClick={() => onShow(index)}
        className="block min-h-6 w-full text-left"
        aria-pressed={isActive}
      >
        <span className="num mr-2 text-soft">{index + 1}</span>
        <span className={`font-semibold ${verdict === undefined ? '' : 'text-soft'}`}>{title}</span>
      </button>
      <p className="text-sm">
        <span className={finding.risk === 'printLost' ? 'text-plum' : ''}>{RISK_WORDS[finding.risk]}</span>,{' '}
        {CHANCE_WORDS[finding.chance]}: about <span className="num">{formatHours(finding.costHours)}</span>{' '}
        {where !== undefined && <span className="inline-block text-soft">{where}</span>}
      </p>
      {finding.more > 0 && (
        <p className="text-sm text-soft">and {finding.more} more of the same kind, none worse</p>
      )}
      {verdict !== undefined && (
        <p className="text-sm">
          <span className="font-semibold">{verdict.verdict === 'passed' ? 'Passed' : 'Waived'}</span>
          {verdict.reason !== '' && `: ${verdict.reason}`}
        </p>
      )}
      <details className="text-sm" open={isActive ? true : undefined}>
        <summary className="text-soft">What to do</summary>
        <p>{does}</p>
        <p className="mt-1">
          <span className="font-semibold">What to do:</span> {mend}
        </p>
        <p className="mt-1 text-soft">{changes}</p>
        {canJudge && (
          <ActionForm
            form={findingForm}
            action={judge.bind(null, jobId)}
            label={`Decide: ${title}`}
            className="mt-2 grid gap-2"
          >
            <input type="hidden" name="key" value={finding.key} />
            <input type="hidden" name="title" value={title.slice(0, 200)} />
            {verdict === undefined ? (
              <>
                <TextField name="reason" />
                <div className="flex flex-wrap gap-2">
                  <Button type="submit" name="verdict" value="passed">
                    Mark as fixed<span className="sr-only">, finding {index + 1}</span>
                  </Button>
                  <Button type="submit" name="verdict" value="waived">
                    Waive and print<span className="sr-only">, finding {index + 1}</span>
                  </Button>
                </div>
              </>
            ) : (
              <Button type="submit" name="verdict" value="open" className="justify-self-start">
                Reopen<span className="sr-only">, finding {index + 1}</span>
              </Button>
            )}
          </ActionForm>
        )}
      </details>
    </li>
  );
}
