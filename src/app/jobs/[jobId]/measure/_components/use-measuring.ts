import { type Remark } from './remark';
import { formatMm } from '@/core/kit/wording';
import { useRouter } from 'next/navigation';
import { type RefObject, useCallback, useMemo, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { parseLength } from '@/core/measure';
import type { FitWord } from '@/core/signature';
import { describeFitWord, describeLengthNote, describeQuantityIssue } from '@/subjects/kit/shared';
import { describeReadingIssue, type ReadingInput } from '@/subjects/measure/readings/shared';
import { takeBack } from '../actions';
import type { BenchProps } from './bench-types';
import type { AskedReading } from './doubt-panel';
import { countReadings, firstToRead, newestSeen, nextToRead, readingsOnTheWay } from './reading-order';
import { useDraft } from './use-draft';
import { type Answer, useReadingQueue } from './use-reading-queue';
import { useTick } from './use-tick';
import { useWords } from './use-words';

/** Height that a reading near the plate is noted with, mm. */
const LOW_MM = 0.5;

/** A name of this window, so that the server can report readings of another window. */
function windowName(): string {
  const known = sessionStorage.getItem('mellow-window') ?? uuid().slice(0, 8);
  sessionStorage.setItem('mellow-window', known);
  return known;
}

/** Result of the server's answers: stored readings, messages, and questions. */
function useAnswers(printId: number) {
  const router = useRouter();
  const [remark, setRemark] = useState<Remark | undefined>();
  const [asked, setAsked] = useState<AskedReading | undefined>();
  const [kept, setKept] = useState<readonly ReadingInput[]>([]);
  const sound = useTick();
  const onAnswer = ({ entry, result }: Answer) => {
    sound.tick(result.ok);
    router.refresh();
    if (result.ok) {
      setKept((before) => [...before, entry]);
      const { elsewhere } = result.value;
      if (elsewhere > 0)
        setRemark({
          text: `Another window saved ${elsewhere} ${elsewhere === 1 ? 'reading' : 'readings'} of this feature in the meantime. All are kept.`,
        });
    } else if (result.issue.code === 'doubt') setAsked({ entry, doubt: result.issue.doubt });
    else setRemark({ text: describeReadingIssue(result.issue), isProblem: true });
  };
  const queue = useReadingQueue(printId, onAnswer);
  return { ...queue, kept, setKept, remark, setRemark, asked, setAsked, sound, refresh: router.refresh };
}

/** Hand fits of this print, and the message when they are stored. */
function useSaid(
  { printId, features }: BenchProps,
  { setRemark, refresh }: Pick<ReturnType<typeof useAnswers>, 'setRemark' | 'refresh'>,
) {
  return useWords({
    printId,
    onAnswer: ({ featureId, word }, issue) => {
      refresh();
      const name = features.find(({ id }) => id === featureId)?.name ?? '';
      setRemark(
        issue === undefined
          ? { text: `${name}, hand fit: ${describeFitWord(word)}.` }
          : { text: describeReadingIssue(issue), isProblem: true },
      );
    },
  });
}

/** The state of a sitting: what is typed, which feature is read, what is on its way, and what can be done. */
export function useMeasuring(props: BenchProps, field: RefObject<HTMLInputElement | null>) {
  const { jobId, printId, features, session } = props;
  const [text, setText] = useDraft(`mellow-draft-${printId}`);
  const [chosenId, setChosenId] = useState<number | undefined>();
  const [atPlate, setAtPlate] = useState(false);
  const answers = useAnswers(printId);
  const { waiting, kept, setKept, setRemark, asked, setAsked, add, drain } = answers;
  const arm = useCallback(() => field.current?.focus(), [field]);
  const onTheWay = useMemo(() => readingsOnTheWay(features, kept, waiting), [features, kept, waiting]);
  const counts = useMemo(() => countReadings(features, onTheWay), [features, onTheWay]);
  const active = features.find(({ id }) => id === chosenId) ?? firstToRead(features, counts);
  const count = counts.get(active.id) ?? 0;

  const choose = (featureId: number) => {
    setChosenId(featureId);
    arm();
  };
  const enter = (readingMm: number, confirmed: boolean, featureId = active.id) =>
    add({
      clientKey: `${windowName()}:${uuid()}`,
      sessionId: session.id,
      featureId,
      printId,
      readingMm,
      heightMm: atPlate ? LOW_MM : undefined,
      confirmed,
      seenId: newestSeen(features, featureId),
    });
  const take = (typed = text) => {
    const parsed = parseLength(typed);
    if (!parsed.ok) return setRemark({ text: describeQuantityIssue(parsed.issue), isProblem: true });
    const { valueMm, notes } = parsed.value;
    const understood = `${formatMm(valueMm, 3)} mm: ${notes.map(describeLengthNote).join(', ')}.`;
    setRemark(notes.length === 0 ? undefined : { text: understood });
    setText('');
    enter(valueMm, false);
    // Readings near the plate are beside the three that a size wants: they stay where they are until somebody moves on.
    choose(atPlate ? active.id : nextToRead(features, counts, active.id, count + 1));
  };
  /** Unsent data arrive first: the last reading is then the last one on the server. */
  const retract = async (readingId?: number) => {
    await drain();
    setKept([]);
    const said = await takeBack(uuid(), jobId, printId, readingId).catch(() => undefined);
    const lost = 'The connection was lost. No reading was deleted. Try again.';
    setRemark(said === undefined ? { text: lost, isProblem: true } : { text: said });
    arm();
  };
  const words = useSaid(props, answers);
  const say = (word: FitWord, pushN?: number) => {
    const { state, warm } = session;
    words.say({ featureId: active.id, printId, word, state, warm, pushN });
  };
  const settle = (readingMm: number | undefined) => {
    if (asked === undefined) return;
    if (readingMm !== undefined) enter(readingMm, true, asked.entry.featureId);
    setAsked(undefined);
    choose(asked.entry.featureId);
  };
  const step = (by: number) =>
    choose(features[(features.indexOf(active) + by + features.length) % features.length].id);
  const doing = { choose, take, retract, say, settle, step, setText, setAtPlate };
  return { ...answers, words, text, atPlate, active, count, counts, onTheWay, ...doing };
}
