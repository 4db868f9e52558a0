'use client';

import { formatMm } from '@/core/kit/wording';
import { useState } from 'react';
import { asDiameter } from '@/core/measure';
import { nextPlace } from '@/core/job/sheets';
import type { BodyInput } from '@/subjects/job/sheets/shared';
import { SheetDrawing } from '@/ui';
import { MeasureRows } from './measure-rows';
import { ModellerTable } from './modeller-table';
import { ReadingField } from './reading-field';
import { SheetChoicesForm } from './sheet-choices-form';
import { SheetOutcome } from './sheet-outcome';
import type { BenchMeasure, SheetBenchProps } from './sheet-types';
import { useBodies } from './use-bodies';

/** Sizes with the readings that still wait in this browser, so that the next place is asked for. */
function withWaiting(
  measures: readonly BenchMeasure[],
  waiting: readonly BodyInput[],
): readonly BenchMeasure[] {
  return measures.map((measure) => ({
    ...measure,
    readings: [
      ...measure.readings,
      ...waiting
        .filter((entry) => entry.measure === measure.id)
        .map((entry, i) => ({ ...entry, id: -1 - i, mm: asDiameter(entry.readingMm, entry.readAs) })),
    ],
  }));
}

/** The first place of a measure that lacks a reading; past its last one, another at the first. */
function placeIn({ levels, turns, readings }: BenchMeasure): { level: number; turn: number } {
  const taken = new Set(readings.map(({ level, turn }) => `${level}/${turn}`));
  for (let level = 0; level < levels; level++)
    for (let turn = 0; turn < turns; turn++) if (!taken.has(`${level}/${turn}`)) return { level, turn };
  return { level: 0, turn: 0 };
}

/** The measuring sheet: the drawing asks, the field takes, the sizes follow. */
export function SheetBench(props: SheetBenchProps) {
  const { jobId, title, purpose, drawing, jobName } = props;
  const bodies = useBodies(jobId);
  const measures = withWaiting(props.measures, bodies.waiting);
  const next = nextPlace(measures, (id) => measures.find((measure) => measure.id === id)?.readings ?? []);
  const [chosen, setChosen] = useState<string | undefined>();
  const active = measures.find(({ id }) => id === (chosen ?? next?.measure.id));
  const place = active && (chosen === undefined && next !== undefined ? next : placeIn(active));
  const textOf = (id: string) => {
    const measure = measures.find((each) => each.id === id);
    if (measure?.body === undefined) return { text: measure?.label ?? '', read: false };
    return { text: `${measure.shape === 'round' ? '⌀ ' : ''}${formatMm(measure.body.sizeMm)}`, read: true };
  };
  return (
    <div className="space-y-6">
      <p className="text-soft">
        <span className="font-semibold text-ink">{title}</span>, {purpose}
        <span className="hidden print:inline"> · {jobName}</span>
      </p>
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
        <div className="min-w-0 bg-sheet p-2">
          <SheetDrawing
            drawing={drawing}
            textOf={textOf}
            activeMeasure={active?.id}
            onChoose={setChosen}
            label={`${title}, with the sizes to measure`}
          />
          <HandFill measures={measures} />
        </div>
        <div className="no-print min-w-0 space-y-4">
          <ReadingField
            jobId={jobId}
            measure={active}
            place={place}
            instruments={props.instruments}
            bodies={bodies}
            onTaken={() => setChosen(undefined)}
          />
          <MeasureRows jobId={jobId} measures={measures} activeId={active?.id} onChoose={setChosen} />
        </div>
      </div>
      <div className="no-print grid gap-x-8 gap-y-6 lg:grid-cols-2">
        <SheetChoicesForm
          jobId={jobId}
          choices={props.choices}
          options={props.options}
          interfaces={props.interfaces}
        />
        <SheetOutcome {...props} />
      </div>
      {props.drawn !== undefined && <ModellerTable {...props} drawn={props.drawn} />}
    </div>
  );
}

/** Blank places for a pencil, on paper only. */
function HandFill({ measures }: { measures: readonly BenchMeasure[] }) {
  return (
    <table className="mt-6 hidden w-full border-collapse print:table">
      <caption className="mb-1 text-left">
        Instrument ________________ zero ________ date ____________ temperature ______
      </caption>
      <tbody>
        {measures.map(({ id, label, levels, turns, readings }) => (
          <tr key={id} className="border border-ink">
            <th className="w-48 px-2 py-3 text-left">{label}</th>
            {Array.from({ length: Math.max(4, levels * turns) }, (_, i) => (
              <td key={i} className="num border border-ink px-2 py-3">
                {readings[i] === undefined ? '' : formatMm(readings[i].readingMm)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
