import { viewJobUnlearned } from '@/subjects/job/jobs';
import { Z_80, Z_90 } from '@/core/kit/numerics';
import { type Day, type DayJob, type DayStep, whereItIs } from '@/core/print';
import { LAMP, processCard, stepsAfterPrint, togetherFacts, WASH } from '@/core/resin';
import { type Db, queries } from '@/store';
import { type HouseRules, presenceBetween } from '@/subjects/workshop/settings';
import { forecastOfRun, listOpenRuns, type OpenRunGlance, partFactsOf } from '@/subjects/print/plate';
import { findShelved, resinFile } from '@/subjects/resin/shelf';
import { listOnTheWay, type OnTheWay } from './view-on-the-way';

type House = Pick<HouseRules, 'schools' | 'roomC' | 'run' | 'changeoverMl' | 'care'>;

/** A job of the day, as the rail names it. */
export interface DayThing {
  /** Of the day's job. */
  readonly id: string;
  readonly title: string;
  readonly href: string;
  /** The plate whose start can be set. */
  readonly runId?: number;
  /** Start that somebody set, ms. */
  readonly plannedFor?: number;
  /** By when it is promised, ms. */
  readonly dueAt?: number;
  /** Of its print the earliest and the latest end of nine in ten, minutes after its start. */
  readonly ends?: { readonly earlyMin: number; readonly lateMin: number };
}

/** Everything that the rail of a day is drawn and planned from. */
export interface DayView {
  /** The moment that minute 0 stands for, ms. */
  readonly zero: number;
  readonly day: Day;
  /** The same with every print at the end of nine in ten. */
  readonly late: Day;
  readonly things: readonly DayThing[];
  readonly stations: readonly string[];
  /** Plates of which the hours are not known yet. */
  readonly unread: readonly { readonly runId: number; readonly title: string }[];
}

const MINUTE_MS = 60_000;
const HORIZON_DAYS = 10;
/** Due of what nobody waits for: its lateness weighs nothing. */
const NEVER_MIN = HORIZON_DAYS * 24 * 60;

const toMinutes = (ms: number) => Math.round(ms / MINUTE_MS);

/** The moment by which a day's promise is kept: when the last one goes home, or midnight. */
function endOfDay(day: string, house: House): Date {
  const [year, month, date] = day.split('-').map(Number);
  const [from, to] = [new Date(year, month - 1, date), new Date(year, month - 1, date + 1)];
  return presenceBetween(house.run, from, to).at(-1)?.to ?? to;
}

/** A job of the day and the same at its late end. */
interface Both {
  readonly thing: DayThing;
  readonly job: DayJob;
  readonly late: DayJob;
}

interface Promise90 {
  readonly dueMin: number;
  readonly weight: number;
  readonly dueAt?: number;
}

/** The earliest promise of several jobs; a promise in the past stays one. */
function promiseOf(dueOns: readonly string[], zero: number, house: House): Promise90 {
  const dues = dueOns.filter((day) => day !== '').map((day) => endOfDay(day, house).getTime());
  if (dues.length === 0) return { dueMin: NEVER_MIN, weight: 0 };
  const dueAt = Math.min(...dues);
  return { dueMin: toMinutes(dueAt - zero), weight: dues.length, dueAt };
}

/** Minutes of a print: its start is tended, then it runs by itself and holds its printer until the plate is off. */
function printStep(printer: string, minutes: number, isRunning: boolean): DayStep {
  const length = Math.max(1, minutes);
  return {
    id: 'print',
    station: printer,
    minutes: length,
    attendStartMin: isRunning ? 0 : Math.min(length, 5),
    holds: true,
  };
}

/** Late end of a print in nine of ten, from its interval of nine in ten on both sides. */
function ninetieth({ middleS, lateS }: { readonly middleS: number; readonly lateS: number }): number {
  return middleS * Math.exp((Math.log(lateS / middleS) * Z_80) / Z_90);
}

/** What is left of a print that runs, or all of one that waits: s, on the wall. By a clock that was set back it has just begun. */
function hoursOf(db: Db, glance: OpenRunGlance, now: Date) {
  const { print, startedAt, speed, heard } = glance;
  if (print === undefined || startedAt === undefined) return forecastOfRun(db, glance.id)?.finish;
  const elapsedS = Math.max(0, ((now.getTime() - startedAt.getTime()) / 1000) * speed);
  const heardS = heard && ((heard.at.getTime() - startedAt.getTime()) / 1000) * speed;
  const { events } = whereItIs(
    print,
    elapsedS,
    heard === undefined ? undefined : { layer: heard.layer, atS: Math.max(1, heardS!) },
  );
  const end = events.at(-1)!;
  const left = (seconds: number) => Math.max(60, (seconds - elapsedS) / speed);
  return { middleS: left(end.middleS), earlyS: left(end.earlyS), lateS: left(end.lateS) };
}

function plateJob(
  db: Db,
  glance: OpenRunGlance,
  { house, now, zero }: { readonly house: House; readonly now: Date; readonly zero: number },
): Both | undefined {
  const hours = hoursOf(db, glance, now);
  if (hours === undefined) return undefined;
  const pieces = queries.listPieces(db, glance.id);
  const run = queries.findRun(db, glance.id)!;
  const shelved = findShelved(db, queries.findProfile(db, run.profileId)!.resin.id);
  const facts = togetherFacts(
    [...new Map(pieces.map(({ job, piece }) => [job.id, piece.wallMm ?? undefined]))].map(
      ([jobId, shellMm]) => partFactsOf(db, viewJobUnlearned(db, jobId)!, shellMm),
    ),
  );
  const cards = shelved === undefined ? [] : processCard(resinFile(shelved), house.schools, facts);
  const isRunning = glance.state === 'printing';
  const promise = promiseOf(
    pieces.map(({ job }) => job.dueOn),
    zero,
    house,
  );
  const id = `run ${glance.id}`;
  const { washLoads } = house.run;
  const after = stepsAfterPrint({ printer: glance.printer, pieces: pieces.length, cards, washLoads });
  const plannedFor = run.plannedFor?.getTime();
  const isPinned = !isRunning && plannedFor !== undefined && plannedFor > zero;
  const jobOf = (seconds: number): DayJob => ({
    id,
    dueMin: promise.dueMin,
    weight: promise.weight,
    releaseMin: isPinned ? toMinutes(plannedFor - zero) : 0,
    isPinned: isPinned || isRunning,
    steps: [printStep(glance.printer, toMinutes(1000 * seconds), isRunning), ...after],
  });
  return {
    thing: {
      id,
      title: glance.things === '' ? 'an empty plate' : glance.things,
      href: `/runs/${glance.id}`,
      runId: isRunning ? undefined : glance.id,
      plannedFor: isPinned ? plannedFor : undefined,
      dueAt: promise.dueAt,
      ends: { earlyMin: toMinutes(1000 * hours.earlyS), lateMin: toMinutes(1000 * hours.lateS) },
    },
    job: jobOf(hours.middleS),
    late: jobOf(ninetieth(hours)),
  };
}

/** What came off a printer and is on its way: the step under way runs on, those after it follow. */
function wayJob(way: OnTheWay, zero: number, house: House): Both | undefined {
  const promise = promiseOf([way.dueOn], zero, house);
  const { printer, pieces, open: cards } = way;
  const { washLoads } = house.run;
  const steps = stepsAfterPrint({ printer, pieces, cards, washLoads }).filter(
    ({ id }) => way.isOnPlate || id !== 'off',
  );
  const first = steps[0];
  if (first === undefined) return undefined;
  const isUnderWay = way.runsSince !== undefined && way.open[0]?.step === first.id;
  const passed = isUnderWay ? Math.max(0, toMinutes(zero - way.runsSince!)) : 0;
  const left = Math.max(1, first.minutes - passed);
  const now: DayStep = isUnderWay
    ? {
        ...first,
        minutes: left,
        attendStartMin: 0,
        attendEndMin: Math.min(first.attendEndMin ?? 0, left),
        share: undefined,
      }
    : first;
  const id = `way ${way.printId}`;
  const job: DayJob = {
    id,
    dueMin: promise.dueMin,
    weight: promise.weight,
    releaseMin: 0,
    isPinned: isUnderWay,
    steps: [now, ...steps.slice(1)],
  };
  return {
    thing: {
      id,
      title: way.title,
      href: `/jobs/${way.jobId}/run?print=${way.printId}`,
      dueAt: promise.dueAt,
    },
    job,
    late: job,
  };
}

/** The day as it stands: plates that wait or print, parts on their way, and when somebody is there. */
export function viewDay(db: Db, house: House, now: Date): DayView {
  const zero = Math.floor(now.getTime() / MINUTE_MS) * MINUTE_MS;
  const open = listOpenRuns(db).filter(({ things }) => things !== '');
  const plates = open.map((glance) => ({ glance, both: plateJob(db, glance, { house, now, zero }) }));
  const ways = listOnTheWay(db, house.schools, now).flatMap((way) => wayJob(way, zero, house) ?? []);
  const all = [...plates.flatMap(({ both }) => both ?? []), ...ways];
  const until = new Date(zero + HORIZON_DAYS * 24 * 60 * MINUTE_MS);
  const presence = presenceBetween(house.run, new Date(zero), until).map(
    ({ from, to }) =>
      [Math.max(0, toMinutes(from.getTime() - zero)), toMinutes(to.getTime() - zero)] as const,
  );
  const printers = [...new Set(open.map(({ printer }) => printer))];
  return {
    zero,
    day: { presence, jobs: all.map(({ job }) => job) },
    late: { presence, jobs: all.map(({ late }) => late) },
    things: all.map(({ thing }) => thing),
    stations: [...printers, WASH, LAMP],
    unread: plates.flatMap(({ glance, both }) =>
      both === undefined ? { runId: glance.id, title: glance.things } : [],
    ),
  };
}
