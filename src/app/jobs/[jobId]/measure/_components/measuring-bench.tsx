'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useRef, useState } from 'react';
import { parseLength } from '@/core/metrology';
import type { FitWord } from '@/core/signature';
import {
  describeFitWord,
  describeQuantityIssue,
  describeLengthNote,
  formatMm,
} from '@/subjects/language/shared';
import { describeReadingIssue, type ReadingInput } from '@/subjects/measure/shared';
import { PartFrame, useShortcuts } from '@/ui';
import { takeBack } from '../actions';
import { ArmedField } from './armed-field';
import { type BenchProps, READINGS_EACH } from './bench-types';
import { type AskedReading, DoubtPanel } from './doubt-panel';
import { FeatureRows } from './feature-rows';
import { FitWords } from './fit-words';
import { NextHint } from './next-hint';
import { SessionLine } from './session-line';
import { SimulatedCaliper } from './simulated-caliper';
import { useDraft } from './use-draft';
import { type Answer, useReadingQueue } from './use-reading-queue';
import { useTick } from './use-tick';

/** Something to say about the last action; a problem is read out at once. */
interface Remark {
  readonly text: string;
  readonly isProblem?: boolean;
}

const LOW_MM = 0.5;

/** A name of this window's own, so that the bench can tell what another window took meanwhile. */
function windowName(): string {
  const known = sessionStorage.getItem('mellow-window') ?? crypto.randomUUID().slice(0, 8);
  sessionStorage.setItem('mellow-window', known);
  return known;
}

/** The measuring bench: one armed field, the sizes with their verdicts below it. */
export function MeasuringBench(props: BenchProps) {
  const { jobId, printId, features, session, simulated } = props;
  const router = useRouter();
  const field = useRef<HTMLInputElement>(null);
  const [text, setText] = useDraft(`mellow-draft-${printId}`);
  const [chosenId, setChosenId] = useState<number | undefined>();
  const [remark, setRemark] = useState<Remark | undefined>();
  const [asked, setAsked] = useState<AskedReading | undefined>();
  const [atPlate, setAtPlate] = useState(false);
  const [kept, setKept] = useState<readonly ReadingInput[]>([]);
  const { isOn, toggle, tick } = useTick();
  const arm = useCallback(() => field.current?.focus(), []);

  const onAnswer = ({ entry, result }: Answer) => {
    tick(result.ok);
    router.refresh();
    if (result.ok) {
      setKept((before) => [...before, entry]);
      const { elsewhere } = result.value;
      if (elsewhere > 0)
        setRemark({
          text: `Another window took ${elsewhere} reading(s) of this feature meanwhile; all are kept.`,
        });
      return;
    }
    const { issue } = result;
    if (issue.code === 'doubt') setAsked({ entry, doubt: issue.doubt });
    else
      setRemark({
        text: describeReadingIssue(issue),
        isProblem: true,
      });
  };
  const { waiting, isCutOff, add, drain } = useReadingQueue(printId, onAnswer);

  // On its way to the bench, or kept there and not yet on the page: the page may come before or after the answer.
  const onTheWay = useMemo(() => {
    const shown = new Set(features.flatMap(({ readings }) => readings.map(({ clientKey }) => clientKey)));
    const entries = new Map([...kept, ...waiting].map((entry) => [entry.clientKey, entry]));
    return [...entries.values()].filter(({ clientKey }) => !shown.has(clientKey));
  }, [features, kept, waiting]);
  const counts = useMemo(() => {
    const map = new Map(features.map(({ id, readings }) => [id, readings.length]));
    for (const { featureId } of onTheWay) map.set(featureId, (map.get(featureId) ?? 0) + 1);
    return map;
  }, [features, onTheWay]);
  const wanting = features.find(({ id }) => (counts.get(id) ?? 0) < READINGS_EACH);
  const active = features.find(({ id }) => id === chosenId) ?? wanting ?? features[0];

  const moveOn = (countOfActive: number) => {
    if (countOfActive < READINGS_EACH) return setChosenId(active.id);
    const at = features.indexOf(active);
    const next = [...features.slice(at + 1), ...features.slice(0, at)].find(
      ({ id }) => (counts.get(id) ?? 0) < READINGS_EACH,
    );
    setChosenId(next?.id ?? active.id);
  };
  const enter = (readingMm: number, confirmed: boolean, featureId = active.id) => {
    const seenId = Math.max(
      0,
      ...(features.find(({ id }) => id === featureId)?.readings.map(({ id }) => id) ?? []),
    );
    const heightMm = atPlate ? LOW_MM : undefined;
    add({
      clientKey: `${windowName()}:${crypto.randomUUID()}`,
      sessionId: session.id,
      featureId,
      printId,
      readingMm,
      heightMm,
      confirmed,
      seenId,
    });
  };
  const take = (typed = text) => {
    const parsed = parseLength(typed);
    if (!parsed.ok) return setRemark({ text: describeQuantityIssue(parsed.issue), isProblem: true });
    const { valueMm, notes } = parsed.value;
    setRemark(
      notes.length === 0
        ? undefined
        : { text: `${formatMm(valueMm, 3)} mm: ${notes.map(describeLengthNote).join(', ')}.` },
    );
    setText('');
    enter(valueMm, false);
    moveOn((counts.get(active.id) ?? 0) + 1);
    arm();
  };
  /** What is on its way arrives first: the last reading is then the last one the bench has. */
  const retract = async (readingId?: number) => {
    await drain();
    setKept([]);
    const said = await takeBack(jobId, printId, readingId).catch(() => undefined);
    setRemark(
      said === undefined
        ? { text: 'The connection is lost; nothing was taken back. Try again.', isProblem: true }
        : { text: said },
    );
    arm();
  };
  const say = (word: FitWord, pushN?: number) => {
    const entry = {
      clientKey: crypto.randomUUID(),
      featureId: active.id,
      printId,
      word,
      state: session.state,
      pushN,
    };
    void fetch('/api/tries', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(entry),
    }).then(
      (response) => {
        setRemark(
          response.ok
            ? { text: `${active.name} on its mate: ${describeFitWord(word)}.` }
            : { text: 'The word was not kept. Say it again.', isProblem: true },
        );
        router.refresh();
      },
      () =>
        setRemark({ text: 'The connection is lost; the word was not kept. Say it again.', isProblem: true }),
    );
  };
  const step = (by: number) => {
    setChosenId(features[(features.indexOf(active) + by + features.length) % features.length].id);
    arm();
  };
  useShortcuts([
    { key: 'Enter', does: 'take the reading and move on' },
    {
      key: 'Backspace',
      does: 'on an empty field: take back the last reading',
      run: () => void retract(),
      onEmptyField: true,
    },
    { key: 'a', does: 'the feature before, again', run: () => step(-1), onEmptyField: true },
    { key: 's', does: 'skip to the next feature', run: () => step(1), onEmptyField: true },
  ]);
  const callouts = useMemo(
    () =>
      features.flatMap(({ id, name, anchor }) =>
        anchor === null ? [] : { id, label: name, anchorMm: anchor },
      ),
    [features],
  );
  return (
    <div data-fills-screen>
      <SessionLine {...props} sound={{ isOn, toggle }} />
      <div
        className={`grid gap-4 ${props.part === undefined ? '' : 'lg:grid-cols-[minmax(0,19rem)_minmax(0,1fr)]'}`}
      >
        {props.part !== undefined && (
          <div className="hidden lg:block">
            <PartFrame {...props.part} callouts={callouts} activeId={active.id} className="h-48" />
          </div>
        )}
        <div className="border-l-4 border-juniper bg-sheet px-4 py-3">
          <ArmedField
            ref={field}
            feature={active}
            count={counts.get(active.id) ?? 0}
            text={text}
            onText={setText}
            onTake={() => take()}
          >
            {simulated && (
              <SimulatedCaliper
                featureId={active.id}
                printId={printId}
                instrumentId={session.instrument.id}
                closing={(counts.get(active.id) ?? 0) + 1}
                onTyped={setText}
                onSend={take}
                onProblem={(problem) => setRemark({ text: `${active.name}: ${problem}`, isProblem: true })}
              />
            )}
          </ArmedField>
          <FitWords said={active.word} onSay={say} hasMate={active.mate !== undefined} />
          <div className="mt-1.5 flex flex-wrap items-baseline gap-x-4">
            <label className="flex items-center gap-2 text-sm text-soft">
              <input
                type="checkbox"
                checked={atPlate}
                onChange={(event) => setAtPlate(event.target.checked)}
                className="size-4"
              />
              within 1 mm of the plate, kept apart
            </label>
            <p
              role={remark?.isProblem ? 'alert' : 'status'}
              className={`min-h-6 ${remark?.isProblem ? 'font-medium text-plum' : 'text-soft'}`}
            >
              {isCutOff
                ? `No answer from the bench: ${waiting.length} reading(s) wait here and are sent again by themselves.`
                : remark?.text}
            </p>
          </div>
          {asked !== undefined && (
            <DoubtPanel
              asked={asked}
              featureName={features.find(({ id }) => id === asked.entry.featureId)?.name ?? ''}
              onSettle={(readingMm) => {
                if (readingMm !== undefined) enter(readingMm, true, asked.entry.featureId);
                setAsked(undefined);
                setChosenId(asked.entry.featureId);
                arm();
              }}
            />
          )}
        </div>
      </div>
      <FeatureRows
        features={features}
        activeId={active.id}
        waiting={onTheWay}
        onChoose={(id) => {
          setChosenId(id);
          arm();
        }}
        onRetract={(readingId) => void retract(readingId)}
      />
      <NextHint
        features={features}
        counts={counts}
        activeId={active.id}
        jobId={props.jobId}
        onAgain={(id) => {
          setChosenId(id);
          arm();
        }}
      />
    </div>
  );
}
