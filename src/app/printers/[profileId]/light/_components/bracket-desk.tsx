'use client';

import { useTap } from '@/app/_components/use-tap';
import { gaugeForm } from '@/subjects/exposure/shared';
import type { GaugeView } from '@/subjects/exposure';
import { ActionForm, Button, Choice, Problem, TextField } from '@/ui';
import { dropGauge, printGauges, saveGauge } from '../actions';

const BECAME_WORDS = {
  open: 'printed, slot open',
  closed: 'printed, slot closed',
  lost: 'was lost',
} as const;
const CHOICES = (['open', 'closed', 'lost'] as const).map((value) => ({ value, label: BECAME_WORDS[value] }));

interface BracketDeskProps {
  readonly profileId: number;
  readonly gauges: readonly GaugeView[];
  /** What to print next, s. */
  readonly next: readonly number[];
  /** On a simulated printer: what its profile is exposed with, s. */
  readonly simulatedS?: number;
}

/** Gauges of a bracket: which to print, and what became of each. */
export function BracketDesk({ profileId, gauges, next, simulatedS }: BracketDeskProps) {
  const { problem, isBusy, tap } = useTap();
  return (
    <>
      <ul className="mt-2 border-t border-hair">
        {gauges.map(({ id, exposureS, became, wallMm }) => (
          <li key={id} className="flex flex-wrap gap-x-4 border-b border-hair py-1">
            <span className="num w-20">{exposureS} s</span>
            <span className="flex-1">
              {BECAME_WORDS[became]}
              {wallMm !== undefined && (
                <>
                  , wall <span className="num">{wallMm} mm</span>
                </>
              )}
            </span>
            <button
              type="button"
              className="text-sm underline"
              disabled={isBusy}
              onClick={() => tap((key) => dropGauge(key, profileId, id))}
            >
              Undo<span className="sr-only">: gauge at {exposureS} s</span>
            </button>
          </li>
        ))}
      </ul>
      {next.length > 0 && (
        <p className="mt-2">
          Print next:{' '}
          {next.map((seconds, i) => (
            <span key={seconds}>
              {i > 0 && ', '}
              <a href={`/api/brackets?exposure=${seconds}`} className="num font-semibold underline">
                {seconds} s
              </a>
            </span>
          ))}
          , the same small gauge, one file per exposure.
        </p>
      )}
      <ActionForm
        key={gauges.length}
        form={gaugeForm}
        action={saveGauge.bind(null, profileId)}
        label="Bracket gauge"
        className="mt-3 grid gap-3 sm:grid-cols-3"
      >
        <TextField name="exposureS" defaultValue={next[0] ?? ''} inputMode="decimal" />
        <Choice name="became" choices={CHOICES} />
        <TextField name="wallMm" inputMode="decimal" />
        <Button type="submit" className="justify-self-start">
          Save gauge
        </Button>
      </ActionForm>
      {simulatedS !== undefined && next.length > 0 && (
        <p className="mt-2">
          <Button
            disabled={isBusy}
            onClick={() => tap((key) => printGauges(key, profileId, { nowS: simulatedS, exposuresS: next }))}
          >
            Print and measure these on the simulated printer
          </Button>
        </p>
      )}
      {problem !== '' && <Problem>{problem}</Problem>}
    </>
  );
}
