'use client';

import { type FormEvent, useEffect, useRef, useState } from 'react';
import { READ_AS, type ReadAs } from '@/core/metrology';
import { formatMm } from '@/subjects/language/shared';
import { describePlace } from '@/subjects/sheet/shared';
import { Button, Note, PlainChoice, Problem, useShortcuts } from '@/ui';
import { type BodyAnswer, takeBody, takeBodyBack } from '../actions';
import type { BenchMeasure, SheetBenchProps } from './sheet-types';

interface ReadingFieldProps {
  readonly jobId: number;
  readonly measure?: BenchMeasure;
  readonly place?: { readonly level: number; readonly turn: number };
  readonly instruments: SheetBenchProps['instruments'];
  readonly onTaken: () => void;
}

const READ_AS_LABELS: Readonly<Record<ReadAs, string>> = {
  diameter: 'diameter, across',
  radius: 'radius',
  circumference: 'circumference, by tape or string',
};

const CUT_OFF: BodyAnswer = {
  kind: 'refused',
  message: 'no answer from the bench: the reading stands here still. Take it again; it is never kept twice.',
};

/** One field that is always armed for the next reading of the sheet. */
export function ReadingField({ jobId, measure, place, instruments, onTaken }: ReadingFieldProps) {
  const field = useRef<HTMLInputElement>(null);
  const form = useRef<HTMLFormElement>(null);
  const [text, setText] = useState('');
  const [answer, setAnswer] = useState<BodyAnswer | undefined>();
  const [readAs, setReadAs] = useState<ReadAs>('diameter');
  // The same text sent again, after a cut connection, is the same reading; another text is another one.
  const sent = useRef({ text: '', key: '' });
  // Armed without pulling the page to itself: the drawing above stays in sight.
  const arm = () => field.current?.focus({ preventScroll: true });
  useEffect(arm, [measure?.id, place?.level, place?.turn]);

  const send = async (confirmed: boolean, value = text) => {
    if (form.current === null || measure === undefined || place === undefined) return;
    const data = new FormData(form.current);
    const what = `${measure.id}/${place.level}/${place.turn}/${value}`;
    if (sent.current.text !== what) sent.current = { text: what, key: crypto.randomUUID() };
    data.set('clientKey', sent.current.key);
    data.set('readingMm', value);
    if (measure.shape !== 'round') data.set('readAs', 'diameter');
    if (confirmed) data.set('confirmed', 'on');
    const said = await takeBody(jobId, data).catch((): BodyAnswer => CUT_OFF);
    setAnswer(said.kind === 'kept' ? undefined : said);
    if (said.kind !== 'kept') return arm();
    sent.current = { text: '', key: '' };
    setText('');
    onTaken();
    arm();
  };
  const retract = async () => {
    const taken = await takeBodyBack(jobId);
    setAnswer(taken ? undefined : { kind: 'refused', message: 'there is no reading left to take back.' });
  };
  useShortcuts([
    { key: 'Enter', does: 'take the reading' },
    {
      key: 'Backspace',
      does: 'on an empty field: take back the last reading',
      run: () => void retract(),
      onEmptyField: true,
    },
  ]);
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    void send(false);
  };
  if (measure === undefined || place === undefined)
    return <Note>Every size of this sheet is read. Choose one in the drawing to read it again.</Note>;
  return (
    <form
      ref={form}
      onSubmit={onSubmit}
      aria-label="A reading"
      className="border-l-4 border-juniper bg-sheet px-4 py-3"
    >
      <input type="hidden" name="measure" value={measure.id} />
      <input type="hidden" name="level" value={place.level} />
      <input type="hidden" name="turn" value={place.turn} />
      <label htmlFor="body-reading" className="block">
        <span className="font-serif text-xl font-semibold">{measure.label}</span>
        <span className="block text-soft">
          {describePlace(place, measure)}
          {measure.optional === true && ' (may stay unread)'}
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
          Take it <kbd>Enter</kbd>
        </Button>
        {measure.shape === 'round' && (
          <PlainChoice
            name="readAs"
            label="read as"
            value={readAs}
            onChange={(event) => setReadAs(event.target.value as ReadAs)}
            choices={READ_AS.map((each) => ({ value: each, label: READ_AS_LABELS[each] }))}
          />
        )}
        <PlainChoice
          name="instrumentId"
          label="with"
          choices={instruments.map(({ id, name }) => ({ value: String(id), label: name }))}
        />
      </div>
      {answer?.kind === 'refused' && <Problem>{answer.message}</Problem>}
      {answer?.kind === 'doubt' && (
        <div role="alert" className="mt-2">
          <p className="font-medium text-plum">{answer.message}</p>
          <div className="mt-1 flex flex-wrap gap-2">
            {answer.guessMm !== undefined && (
              <Button onClick={() => void send(true, String(answer.guessMm))}>
                Take {formatMm(answer.guessMm)}
              </Button>
            )}
            {answer.canBeRight && <Button onClick={() => void send(true)}>It is right as typed</Button>}
          </div>
        </div>
      )}
    </form>
  );
}
