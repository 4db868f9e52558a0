'use client';

import { listAnd } from '@/core/kit/wording';
import { type RefObject, useMemo, useRef } from 'react';
import { Button, PartFrame, useShortcuts } from '@/ui';
import { ArmedField, whichReading } from './armed-field';
import type { BenchProps } from './bench-types';
import { DoubtPanel } from './doubt-panel';
import { FeatureRows } from './feature-rows';
import { FitWords } from './fit-words';
import { NextHint } from './next-hint';
import { SessionLine } from './session-line';
import { SimulatedCaliper } from './simulated-caliper';
import { type PieceOnBench, useCheckPiece } from './use-check-piece';
import { useMeasuring } from './use-measuring';

type Measuring = ReturnType<typeof useMeasuring>;

/** The measuring bench: one armed field, the sizes with their verdicts below it. */
export function MeasuringBench(props: BenchProps) {
  const { jobId, features, control, part } = props;
  const field = useRef<HTMLInputElement>(null);
  const measuring = useMeasuring(props, field);
  const check = useCheckPiece(props.session.instrument.id, () => field.current?.focus());
  const { active, counts, onTheWay, sound, choose, retract, step } = measuring;
  useShortcuts([
    { key: 'Enter', does: 'Save reading and continue' },
    {
      key: 'Backspace',
      does: 'In an empty field: undo last reading',
      run: () => void retract(),
      onEmptyField: true,
    },
    { key: 'a', does: 'Previous feature', run: () => step(-1), onEmptyField: true },
    { key: 's', does: 'Next feature', run: () => step(1), onEmptyField: true },
  ]);
  const callouts = useMemo(
    () =>
      features.flatMap(({ id, name, anchor }, i) =>
        anchor === null || id === control?.id ? [] : { id, number: i + 1, label: name, anchorMm: anchor },
      ),
    [features, control],
  );
  const beside = part === undefined ? '' : 'lg:grid-cols-[minmax(0,19rem)_minmax(0,1fr)]';
  return (
    <div data-fills-screen>
      <SessionLine {...props} sound={sound} onCheck={check.start} />
      <div className={`grid gap-4 ${beside}`}>
        {part !== undefined && (
          <div className="hidden lg:block">
            <PartFrame
              {...part}
              callouts={callouts}
              activeId={active.id}
              onChoose={choose}
              className={features.length > 8 ? 'h-72' : 'h-48'}
            />
          </div>
        )}
        {check.piece === undefined ? (
          <Reading bench={props} measuring={measuring} field={field} />
        ) : (
          <PieceReading check={check} piece={check.piece} measuring={measuring} field={field} />
        )}
      </div>
      <FeatureRows
        features={features}
        control={control}
        activeId={active.id}
        waiting={onTheWay}
        onChoose={choose}
        onRetract={(readingId) => void retract(readingId)}
      />
      <NextHint
        features={features.filter(({ id }) => id !== control?.id)}
        counts={counts}
        activeId={active.id}
        jobId={jobId}
        onAgain={choose}
      />
    </div>
  );
}

interface ReadingProps {
  readonly bench: BenchProps;
  readonly measuring: Measuring;
  readonly field: RefObject<HTMLInputElement | null>;
}

/** The active field with its caliper, the hand fits, and the last message. */
function Reading({ bench: { printId, features, session, simulated }, measuring, field }: ReadingProps) {
  const { active, count, text, asked, words, setText, take, say, settle, setRemark } = measuring;
  return (
    <div className="border-l-4 border-juniper bg-sheet px-4 py-3">
      <ArmedField
        ref={field}
        label={
          <>
            Reading <strong>{active.name}</strong>, {whichReading(count, active.kind.shape)}
          </>
        }
        text={text}
        onText={setText}
        onTake={() => take()}
      >
        {simulated && (
          <SimulatedCaliper
            featureId={active.id}
            printId={printId}
            instrumentId={session.instrument.id}
            closing={count + 1}
            isLow={measuring.atPlate}
            onTyped={setText}
            onSend={take}
            onProblem={(problem) => setRemark({ text: `${active.name}: ${problem}`, isProblem: true })}
          />
        )}
      </ArmedField>
      <FitWords
        said={words.saidOf(active.id) ?? active.word}
        onSay={say}
        hasMate={active.mate !== undefined}
      />
      <Said measuring={measuring} />
      {asked !== undefined && (
        <DoubtPanel
          asked={asked}
          featureName={features.find(({ id }) => id === asked.entry.featureId)?.name ?? ''}
          onSettle={settle}
        />
      )}
    </div>
  );
}

interface PieceReadingProps {
  readonly check: ReturnType<typeof useCheckPiece>;
  readonly piece: PieceOnBench;
  readonly measuring: Measuring;
  readonly field: RefObject<HTMLInputElement | null>;
}

/** The armed field on a piece of known size: what the jaws add to it is taken off the part's sizes. */
function PieceReading({ check, piece, measuring, field }: PieceReadingProps) {
  const { text, setText } = measuring;
  const { count, remark, asked, take, stop } = check;
  const taken = async (readingMm: string, isRight: boolean) => {
    if (await take(readingMm, isRight)) setText('');
  };
  return (
    <div className="border-l-4 border-honey bg-sheet px-4 py-3">
      <ArmedField
        ref={field}
        label={
          <>
            Reading <strong>{piece.piece}</strong>, {piece.jaw} jaws, {whichReading(count, 'flat')}
          </>
        }
        text={text}
        onText={setText}
        onTake={() => void taken(text, false)}
      />
      <p
        role={remark === undefined ? 'status' : 'alert'}
        className={`mt-1.5 min-h-6 ${remark === undefined ? 'text-soft' : 'font-medium text-plum'}`}
      >
        {remark?.text ??
          (count === 0
            ? ''
            : `${count} of 3 saved. The error of the ${piece.jaw} jaws is subtracted from the sizes.`)}
      </p>
      <span className="mt-1 flex gap-3">
        {asked !== undefined && (
          <Button onClick={() => void taken(asked, true)}>
            This is the right piece and the reading is correct
          </Button>
        )}
        <Button onClick={stop}>Back to the part</Button>
      </span>
    </div>
  );
}

/** 2 readings; empty for none. */
function count(number: number, one: string, many = `${one}s`): string {
  return number === 0 ? '' : `${number} ${number === 1 ? one : many}`;
}

function Said({ measuring }: { measuring: Measuring }) {
  const { atPlate, setAtPlate, remark, isCutOff, waiting, words } = measuring;
  const kept = [
    count(waiting.length, 'reading'),
    count(words.waiting.length, 'hand fit', 'hand fits'),
  ].filter((each) => each !== '');
  return (
    <div className="mt-1.5 flex flex-wrap items-baseline gap-x-4">
      <label className="flex items-center gap-2 text-sm text-soft">
        <input
          type="checkbox"
          checked={atPlate}
          onChange={(event) => setAtPlate(event.target.checked)}
          className="size-4"
        />
        within 1 mm of the plate, kept separate
      </label>
      <p
        role={remark?.isProblem ? 'alert' : 'status'}
        className={`min-h-6 ${remark?.isProblem ? 'font-medium text-plum' : 'text-soft'}`}
      >
        {(isCutOff || words.isCutOff) && kept.length > 0
          ? `The server does not respond. ${listAnd(kept)} saved in this browser until it responds.`
          : remark?.text}
      </p>
    </div>
  );
}
