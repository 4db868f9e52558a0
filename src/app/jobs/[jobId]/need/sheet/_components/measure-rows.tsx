'use client';

import { formatMm } from '@/core/kit/wording';
import { X } from 'lucide-react';
import { v4 as newKey } from 'uuid';
import { describeBodyNote, describePlace } from '@/subjects/job/sheets/shared';
import { takeBodyBack } from '../actions';
import type { BenchMeasure } from './sheet-types';

interface MeasureRowsProps {
  readonly jobId: number;
  readonly measures: readonly BenchMeasure[];
  readonly activeId?: string;
  readonly onChoose: (measure: string) => void;
}

/** Every size of the sheet with its readings, what they come to, and what is odd about them. */
export function MeasureRows({ jobId, measures, activeId, onChoose }: MeasureRowsProps) {
  return (
    <ul aria-label="Readings of this sheet">
      {measures.map((measure) => (
        <li
          key={measure.id}
          className={`border-b border-hair py-2 ${measure.id === activeId ? 'bg-wash' : ''}`}
        >
          <div className="flex flex-wrap items-baseline justify-between gap-x-4 px-2">
            <button
              type="button"
              className="min-h-7 text-left font-semibold"
              onClick={() => onChoose(measure.id)}
            >
              {measure.label}
            </button>
            <Size measure={measure} />
          </div>
          <p className="flex flex-wrap gap-x-3 px-2 text-sm">
            {measure.readings.map(({ id, mm, readAs, readingMm, level, turn }) => (
              <span
                key={id}
                className="num inline-flex items-center gap-0.5"
                title={describePlace({ level, turn }, measure)}
              >
                {formatMm(mm)}
                {readAs !== 'diameter' && (
                  <span className="font-sans text-soft">
                    ({readAs} {formatMm(readingMm)})
                  </span>
                )}
                {id < 0 ? (
                  <span className="font-sans text-soft"> missing</span>
                ) : (
                  <button
                    type="button"
                    className="flex size-6 items-center justify-center text-soft hover:text-plum"
                    aria-label={`Delete ${formatMm(mm)} of ${measure.label}`}
                    onClick={() => void takeBodyBack(newKey(), jobId, id)}
                  >
                    <X size={13} aria-hidden />
                  </button>
                )}
              </span>
            ))}
          </p>
          {measure.body?.notes.map((note) => (
            <p
              key={note.code}
              className={`px-2 text-sm ${note.code === 'disagree' ? 'text-plum' : 'text-soft'}`}
            >
              {describeBodyNote(note)}
            </p>
          ))}
        </li>
      ))}
    </ul>
  );
}

function Size({ measure: { body, optional, levels, turns, readings } }: { measure: BenchMeasure }) {
  if (body === undefined)
    return <span className="text-sm text-soft">{optional === true ? 'optional' : 'not measured'}</span>;
  const missing = levels * turns - new Set(readings.map(({ level, turn }) => `${level}/${turn}`)).size;
  return (
    <span className="num">
      {formatMm(body.sizeMm, 3)} ± {formatMm(2 * body.u_mm, 3)}
      <span className="font-sans text-sm text-soft">
        {' '}
        {body.decidedBy === 'limit' ? 'limiting reading' : 'mean'}
        {missing > 0 && `, ${missing} left`}
      </span>
    </span>
  );
}
