import { partFactsOfPrint } from '@/subjects/print/plate';
import type { PartState } from '@/core/measure';
import { type CardStep, minutesOfStep, processCard, processStepOf, stateAfter } from '@/core/resin';
import { type Db, queries } from '@/store';
import type { HouseRules } from '@/subjects/workshop/settings';
import type { JobView } from '@/subjects/job/jobs';
import { findShelved, resinFile } from '@/subjects/resin/shelf';

/** A step of the way from plate to caliper: what the card says, and what was done. */
export interface ChainLink {
  readonly card: CardStep;
  readonly plannedS?: number;
  /** The newest time it was done; undefined while nobody did it. */
  readonly done?: {
    readonly id: number;
    readonly startedAt: Date;
    readonly endedAt: Date | null;
    readonly plannedS: number | null;
    readonly given: string;
  };
}

/** Where a print stands on its way, by the steps that were tapped. */
export interface Chain {
  readonly links: readonly ChainLink[];
  readonly state: PartState;
  /** Since when it has been cured. */
  readonly curedAt?: Date;
  /** Until when it counts as warm: the cooling of the card after its cure. */
  readonly warmUntil?: Date;
}

/** State of a print by the steps that were ended; green while none was. */
export function stateBySteps(steps: readonly queries.PrintStep[]): PartState {
  return stateAfter(new Set(steps.filter(({ endedAt }) => endedAt !== null).map(({ step }) => step)));
}

function coolingOf(
  links: readonly ChainLink[],
  steps: readonly queries.PrintStep[],
): Pick<Chain, 'curedAt' | 'warmUntil'> {
  const at = steps.findLastIndex(({ step, endedAt }) => step === 'cure' && endedAt !== null);
  const cured = at < 0 ? null : steps[at].endedAt;
  if (cured === null) return {};
  const cool = links.find(({ card }) => card.step === 'cool');
  // Later by their order: a clock may have been set in between.
  const cooled = steps.slice(at + 1).find(({ step, endedAt }) => step === 'cool' && endedAt !== null);
  const warmUntil = cooled?.endedAt ?? new Date(cured.getTime() + 1000 * (cool?.plannedS ?? 0));
  return { curedAt: cured, warmUntil };
}

/** The way of a print from the plate to the caliper; undefined where the job has no resin. */
export function viewChain(
  db: Db,
  view: JobView,
  printId: number,
  { schools }: Pick<HouseRules, 'schools'>,
): Chain | undefined {
  const resinId = view.profile?.resin.id;
  const shelved = resinId === undefined ? undefined : findShelved(db, resinId);
  if (shelved === undefined) return undefined;
  const facts = partFactsOfPrint(db, view, printId);
  const steps = queries.listPrintSteps(db, printId);
  const links = processCard(resinFile(shelved), schools, facts)
    .filter(({ step }) => processStepOf(step).isBeforePrint !== true)
    .map((card): ChainLink => {
      const done = steps.findLast(({ step }) => step === card.step);
      const minutes = minutesOfStep(card);
      return { card, done, plannedS: minutes === undefined ? undefined : Math.round(60 * minutes) };
    });
  return { links, state: stateBySteps(steps), ...coolingOf(links, steps) };
}

/** The state of a print by its steps, for a new session; undefined if none was tapped. */
export function stateForSitting(
  chain: Chain | undefined,
  now: Date,
): { readonly state: PartState; readonly warm: boolean } | undefined {
  if (chain === undefined || chain.links.every(({ done }) => done === undefined)) return undefined;
  const { state, curedAt, warmUntil } = chain;
  // Cured later than now says a clock that was set back: then nobody can tell, and it is asked.
  return { state, warm: warmUntil !== undefined && curedAt! <= now && now < warmUntil };
}

/** Other prints of the same plate that are as far as this one: what may go through the next step with it. */
export function listBeside(db: Db, printId: number): { readonly id: number; readonly name: string }[] {
  const beside = queries.listPrintsBeside(db, printId);
  const doneOf = (id: number) =>
    queries
      .listPrintSteps(db, id)
      .map(({ step, endedAt }) => `${step} ${endedAt === null ? 'runs' : 'done'}`)
      .join();
  const own = doneOf(printId);
  return beside
    .filter(({ id }) => doneOf(id) === own)
    .map(({ id, name, job }) => ({ id, name: `${job} ${name}` }));
}

/** A timer that is running in the workshop. */
export interface RunningTimer {
  readonly id: number;
  readonly jobId: number;
  readonly job: string;
  readonly print: string;
  /** Prints that go through it together with this one. */
  readonly others: number;
  readonly step: CardStep['step'];
  readonly startedAt: Date;
  /** undefined: nobody can say how long it takes. */
  readonly endsAt?: Date;
}

/** Steps under way; what goes through one step together is one timer. */
export function listTimers(db: Db): RunningTimer[] {
  const rows = queries.listRunningSteps(db);
  const first = new Map<string, number>();
  for (const { step } of rows) {
    const key = step.sharedKey ?? String(step.id);
    first.set(key, (first.get(key) ?? 0) + 1);
  }
  const told = new Set<string>();
  return rows.flatMap(({ step: row, jobId, job, print }) => {
    const key = row.sharedKey ?? String(row.id);
    if (told.has(key)) return [];
    told.add(key);
    return {
      id: row.id,
      jobId,
      job,
      print,
      others: first.get(key)! - 1,
      step: row.step,
      startedAt: row.startedAt,
      endsAt: row.plannedS === null ? undefined : new Date(row.startedAt.getTime() + 1000 * row.plannedS),
    };
  });
}
