import { viewJobUnlearned } from '@/subjects/job/jobs';
import { partFactsOfPrint } from '@/subjects/print/plate';
import type { Practices } from '@/core/workshop';
import { groupBy } from '@/core/kit';
import { type CardStep, processCard, processStepOf } from '@/core/resin';
import { type Db, queries } from '@/store';
import { findShelved, resinFile } from '@/subjects/resin/shelf';

/** Prints of one run that are on their way from the printer to the caliper. */
export interface OnTheWay {
  readonly printId: number;
  readonly jobId: number;
  readonly title: string;
  readonly printer: string;
  readonly pieces: number;
  readonly dueOn: string;
  /** Steps that nobody ended, in their order. */
  readonly open: readonly CardStep[];
  /** It still hangs on its plate in the printer: nothing but dripping was tapped. */
  readonly isOnPlate: boolean;
  /** The first of them is under way since then, ms. */
  readonly runsSince?: number;
}

/** A piece that was neither measured nor archived for longer is no longer listed as in progress. */
const LONGEST_DAYS = 14;
const DAY_MS = 86_400_000;

/** A function that answers each question once. */
function keptBy<Answer>(answerOf: (id: number) => Answer): (id: number) => Answer {
  const answers = new Map<number, Answer>();
  return (id) => {
    if (!answers.has(id)) answers.set(id, answerOf(id));
    return answers.get(id)!;
  };
}

/** What came off a printer and was not read yet, those of one plate that are equally far together. */
export function listOnTheWay(db: Db, schools: Practices, now: Date): OnTheWay[] {
  const prints = queries.listPrintsOnTheWay(db, new Date(now.getTime() - LONGEST_DAYS * DAY_MS));
  const resinOf = keptBy((id: number) => findShelved(db, id));
  const viewOf = keptBy((id: number) => viewJobUnlearned(db, id)!);
  const cardsOf = ({ resinId, job, print }: (typeof prints)[number]): readonly CardStep[] => {
    const shelved = resinOf(resinId);
    if (shelved === undefined) return [];
    return processCard(resinFile(shelved), schools, partFactsOfPrint(db, viewOf(job.id), print.id));
  };
  const stepsOf = queries.stepsOfPrints(
    db,
    prints.map(({ print }) => print.id),
  );
  const rows = prints.map((row) => {
    const cards = cardsOf(row);
    const steps = stepsOf.get(row.print.id) ?? [];
    const ended = new Set(steps.filter(({ endedAt }) => endedAt !== null).map(({ step }) => step));
    const open = cards.filter(({ step }) => processStepOf(step).isBeforePrint !== true && !ended.has(step));
    const running = steps.find(({ endedAt, step }) => endedAt === null && step === open[0]?.step);
    return { ...row, open, steps, running };
  });
  const alike = groupBy(
    rows.filter(({ open }) => open.length > 0),
    ({ print, open, running }) =>
      `${print.runId ?? `print ${print.id}`} ${open.map(({ step }) => step).join()} ${running === undefined ? '' : 'runs'}`,
  );
  return [...alike.values()].map((own) => {
    const [{ print, job, printer, open, steps, running }] = own;
    const names = [...new Set(own.map((each) => each.job.name))];
    return {
      printId: print.id,
      jobId: job.id,
      title: `${names[0]} ${print.name}${own.length > 1 ? ` and ${own.length - 1} more` : ''}`,
      printer,
      pieces: own.length,
      dueOn:
        own
          .map((each) => each.job.dueOn)
          .filter((day) => day !== '')
          .sort()[0] ?? '',
      open,
      isOnPlate: steps.every(({ step }) => step === 'drip'),
      runsSince: running?.startedAt.getTime(),
    };
  });
}
