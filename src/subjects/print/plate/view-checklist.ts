import { eq } from 'drizzle-orm';
import {
  askChecklist,
  type ChecklistInput,
  type ChecklistQuestion as Question,
  type NightCosts,
} from '@/core/print/checklist';
import { evidenceOf } from '@/core/resin';
import { type Db, type GateAnswer, queries, tables } from '@/store';
import { isUnchecked, listOpenLosses } from '@/subjects/part';
import { type HouseRules, isThere, presenceBetween } from '@/subjects/workshop/settings';
import { viewJobUnlearned } from '@/subjects/job/jobs';
import { filmOf, maintenanceDates } from '@/subjects/signature';
import { findShelved, resinFile } from '@/subjects/resin/shelf';
import { handsCostOf, printCostOf, ratesOf } from './rates-of-house';
import type { PlateForecast } from './view-forecast';
import type { PlateItem } from './view-plate';
import { printChances } from './view-print-chance';

export type ChecklistQuestion = Question<GateAnswer>;

/** Everything that the questions of a print are made from. */
export interface ChecklistContext {
  readonly run: queries.Run;
  readonly row: queries.ProfileRow;
  readonly items: readonly PlateItem[];
  readonly forecast: PlateForecast;
  readonly house: Pick<HouseRules, 'schools' | 'roomC' | 'run' | 'changeoverMl' | 'care'>;
  readonly now: Date;
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

function partsOf(db: Db, { items }: ChecklistContext): ChecklistInput['parts'] {
  const views = items.map(({ job }) => viewJobUnlearned(db, job.id)!);
  return {
    unchecked: views.filter((view) => isUnchecked(db, view)).map(({ job }) => job.name),
    open: views.flatMap((view) => {
      const count = listOpenLosses(db, view).length;
      return count === 0 ? [] : { job: view.job.name, count };
    }),
  };
}

function resinOf(db: Db, { row: { printer, resin }, house, now }: ChecklistContext): ChecklistInput['resin'] {
  const shelved = findShelved(db, resin.id);
  const shakenAt = shelved?.bottles
    .flatMap(({ shakenAt: at }) => at?.getTime() ?? [])
    .reduce((newest, at) => Math.max(newest, at), -Infinity);
  return {
    wanted: resin.name,
    inVat: printer.vatResinId === null ? undefined : queries.findResin(db, printer.vatResinId)?.resin.name,
    isSame: printer.vatResinId === resin.id,
    changeoverMl: house.changeoverMl,
    leastRoomC: shelved && evidenceOf(resinFile(shelved)).of('leastRoom_C')?.value,
    shakenH:
      shakenAt === undefined || shakenAt === -Infinity ? undefined : (now.getTime() - shakenAt) / HOUR_MS,
  };
}

function vatOf({ row, forecast, house, now }: ChecklistContext): ChecklistInput['vat'] {
  const { vatSince } = row.printer;
  const days =
    vatSince === '' ? undefined : Math.floor((now.getTime() - new Date(vatSince).getTime()) / DAY_MS);
  const { vat } = forecast;
  return { levelMl: vat?.levelMl, lots: vat?.lots ?? [], days, drainDays: house.care.drainDays };
}

function bottleOf(db: Db, { run }: ChecklistContext): ChecklistInput['bottle'] {
  const { bottles } = tables;
  const bottle =
    run.bottleId === null ? undefined : db.select().from(bottles).where(eq(bottles.id, run.bottleId)).get();
  return bottle && { leftMl: bottle.leftMl, lot: bottle.batch };
}

function machineOf(db: Db, { row: { printer } }: ChecklistContext): ChecklistInput['machine'] {
  const [last] = queries.listEndedRuns(db, printer.id, 1);
  return {
    levelled: maintenanceDates(db, printer.id).level,
    last: last && { isStopped: last.outcome === 'stopped', reason: last.endReason ?? '' },
    uncleared: queries.findUncleared(db, printer.id)?.at,
    isHeard: printer.simulatedSeed !== null,
  };
}

function filmFacts(db: Db, { row, house, forecast, items }: ChecklistContext): ChecklistInput['film'] {
  const { filmLayers: dueLayers, filmCost: cost } = house.care;
  const pieces = items.reduce((sum, item) => sum + item.pieces.length, 0);
  const printCost = printCostOf(house, forecast) + handsCostOf(house, pieces);
  return { ...filmOf(db, row.printer.id, dueLayers), dueLayers, printCost, cost };
}

/** What is lost on average by starting now, unwatched, and by waiting until somebody is there again. */
function costsOfNight(
  db: Db,
  { row, forecast, house, now }: ChecklistContext,
  dryChance: number,
): NightCosts | undefined {
  const { machineHour } = ratesOf(house);
  const printCost = printCostOf(house, forecast);
  const { p } = printChances(db, house.run.commonShare)(row.printer.id);
  const fortnight = new Date(now.getTime() + 14 * DAY_MS);
  const morning = presenceBetween(house.run, now, fortnight).find(({ from }) => from > now)?.from;
  if (morning === undefined) return undefined;
  const waitH = (morning.getTime() - now.getTime()) / HOUR_MS;
  return {
    nowCost: (1 - p * (1 - dryChance)) * printCost,
    morningAt: morning,
    morningCost: (1 - p) * printCost + waitH * machineHour,
  };
}

/** The list before a start, made for this print. */
export function viewChecklist(db: Db, context: ChecklistContext): ChecklistQuestion[] {
  const { run, items, forecast, house, now } = context;
  const { outlook, finish, layers } = forecast;
  const at = (seconds: number) => new Date(now.getTime() + 1000 * seconds);
  const input: ChecklistInput = {
    practices: house.schools,
    parts: partsOf(db, context),
    resin: resinOf(db, context),
    vat: vatOf(context),
    outlook:
      outlook === undefined || outlook === 'tooMuch'
        ? outlook
        : {
            leftMl: outlook.plan.leftMl,
            dryChance: outlook.dryChance,
            pours: outlook.plan.topUps.map(({ addMl, clockS }) => ({
              addMl,
              isAttended: isThere(house.run, at(clockS)),
            })),
          },
    bottle: bottleOf(db, context),
    roomC: run.roomC ?? house.roomC ?? undefined,
    film: filmFacts(db, context),
    machine: machineOf(db, context),
    display: {
      name: items.map(({ job, attemptNumber }) => `${job.name} A${attemptNumber}`).join(', '),
      layers,
      seconds: finish.middleS,
      hollow: items.flatMap(({ job, wallMm }) => (wallMm === undefined ? [] : { job: job.name, wallMm })),
    },
    end: { at: at(finish.middleS), isAttended: isThere(house.run, at(finish.middleS)) },
    costsOfNight: (dryChance) => costsOfNight(db, context, dryChance),
  };
  return askChecklist(input, run.gate);
}
