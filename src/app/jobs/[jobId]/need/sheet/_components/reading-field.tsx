'use client';

import { formatMm } from '@/core/kit/wording';
import { type FormEvent, useEffect, useRef, useState } from 'react';
import { v4 as newKey } from 'uuid';
import { CutOffNote } from '@/app/_components/cut-off-note';
import { parseLength, READ_AS, type ReadAs } from '@/core/measure';
import { describeQuantityIssue } from '@/subjects/kit/shared';
import { describePlace } from '@/subjects/job/sheets/shared';
import { Button, Note, PlainChoice, Problem, useShortcuts } from '@/ui';
import { takeBodyBack } from '../actions';
import type { BenchMeasure, SheetBenchProps } from './sheet-types';
import type { AskedBody, useBodies } from './use-bodies';

interface ReadingFieldProps {
  readonly jobId: number;
  readonly measure?: BenchMeasure;
  readonly place?: { readonly level: number; readonly turn: number };
  readonly instruments: SheetBenchProps['instruments'];
  readonly bodies: ReturnType<typeof useBodies>;
  readonly onTaken: () => void;
}

const READ_AS_LABELS: Readonly<Record<ReadAs, string>> = {
  diameter: 'diameter, across',
  radius: 'radius',
  circumference: 'circumference, with tape or string',
};

/** One field that is always armed for the next reading of the sheet. */
export function ReadingField({ jobId, measure, place, instruments, bodies, onTaken }: ReadingFieldProps) {
  const field = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [readAs, setReadAs] = useState<ReadAs>('diameter');
  const [instrumentId, setInstrumentId] = useState(instruments.at(0)?.id);
  const { take, drain, problem, setProblem, asked, setAsked, isCutOff, waiting } = bodies;
  // Armed without pulling the page to itself: the drawing above stays in sight.
  const arm = () => field.current?.focus({ preventScroll: true });
  useEffect(arm, [measure?.id, place?.level, place?.turn]);

  const send = () => {
    if (measure === undefined || place === undefined) return;
    if (instrumentId === undefined) return setProblem('there is no caliper yet. Add one in Settings.');
    const parsed = parseLength(text);
    if (!parsed.ok) return setProblem(describeQuantityIssue(parsed.issue));
    take({
      measure: measure.id,
      level: place.level,
      turn: place.turn,
      readingMm: parsed.value.valueMm,
      readAs: measure.shape === 'round' ? readAs : 'diameter',
      instrumentId,
      confirmed: false,
    });
    setText('');
    onTaken();
    arm();
  };
  const settle = (readingMm: number | undefined) => {
    if (asked === undefined) return;
    if (readingMm === undefined) setAsked(undefined);
    else take({ ...asked.entry, readingMm, confirmed: true });
    arm();
  };
  const retract = async () => {
    await drain();
    const taken = await takeBodyBack(newKey(), jobId).catch(() => undefined);
    if (taken === undefined) setProblem('the connection was lost and no reading was deleted. Try again.');
    else setProblem(taken ? undefined : 'there is no reading to delete.');
  };
  useShortcuts([
    { key: 'Enter', does: 'Save reading' },
    {
      key: 'Backspace',
      does: 'In an empty field: undo last reading',
      run: () => void retract(),
      onEmptyField: true,
    },
  ]);
  if (measure === undefined || place === undefined)
    return <Note>Every size of this sheet is measured. Choose one in the drawing to measure it again.</Note>;
  return (
    <form
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        send();
      }}
      aria-label="A reading"
      className="border-l-4 border-juniper bg-sheet px-4 py-3"
    >
      <label htmlFor="body-reading" className="block">
        <span className="font-serif text-xl font-semibold">{measure.label}</span>
        <span className="block text-soft">
          {describePlace(place, measure)}
          {measure.optional === true && ' (optional)'}
        </span>
      </label>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <input
          id="body-reading"
          ref={field}
          value={text}
          onChange={(event) => setText(event.target.value)}
          inputMode="decimal"
          autoComplete="off"
          className="num w-40 rounded-[4px] border border-edge bg-ground px-3 py-2 text-2xl"
        />
        <Button type="submit" weight="main">
          Save reading <kbd>Enter</kbd>
        </Button>
        {measure.shape === 'round' && (
          <PlainChoice
            name="readAs"
            label="Measured as"
            value={readAs}
            onChange={(event) => setReadAs(event.target.value as ReadAs)}
            choices={READ_AS.map((each) => ({ value: each, label: READ_AS_LABELS[each] }))}
          />
        )}
        <PlainChoice
          name="instrumentId"
          label="with"
          value={String(instrumentId ?? '')}
          onChange={(event) => setInstrumentId(Number(event.target.value))}
          choices={instruments.map(({ id, name }) => ({ value: String(id), label: name }))}
        />
      </div>
      {problem !== undefined && <Problem>{problem}</Problem>}
      {isCutOff && (
        <CutOffNote waiting={waiting.length} what={waiting.length === 1 ? 'reading' : 'readings'} />
      )}
      {asked !== undefined && <AskedPanel asked={asked} onSettle={settle} />}
    </form>
  );
}

function AskedPanel({
  asked: { entry, message, canBeRight, guessMm },
  onSettle,
}: {
  asked: AskedBody;
  onSettle: (readingMm: number | undefined) => void;
}) {
  return (
    <div role="alert" className="mt-2">
      <p className="font-medium text-plum">{message}</p>
      <div className="mt-1 flex flex-wrap gap-2">
        {guessMm !== undefined && <Button onClick={() => onSettle(guessMm)}>Use {formatMm(guessMm)}</Button>}
        {canBeRight && <Button onClick={() => onSettle(entry.readingMm)}>Keep as entered</Button>}
        <Button onClick={() => onSettle(undefined)}>Discard</Button>
      </div>
    </div>
  );
}
