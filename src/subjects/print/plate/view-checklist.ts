import { eq } from 'drizzle-orm';
import { isFilmDue } from '@/core/log';
import { evidenceOf } from '@/core/resin';
import type { GateAnswer } from '@/store';
import { type Db, queries, tables } from '@/store';
import { isUnchecked, listOpenLosses } from '@/subjects/part';
import { type HouseRules, isThere, presenceBetween } from '@/subjects/workshop/settings';
import { viewJobUnlearned } from '@/subjects/job/jobs';
import { maintenanceDates, filmOf } from '@/subjects/signature';
import { findShelved, resinFile } from '@/subjects/resin/shelf';
import { handsCostOf, printCostOf, ratesOf } from './rates-of-house';
import type { PlateForecast } from './view-forecast';
import type { PlateItem } from './view-plate';
import { printChances } from './view-print-chance';
import type { ChecklistFact, NightCosts } from './words-checklist';

/** How a question of the gate stands: answered by what is known, by the person, or open. */
export interface ChecklistQuestion {
  readonly fact: ChecklistFact;
  /** `well`: nothing to do. `exception`: known not to be OK, and started anyway for a reason. */
  readonly state: 'well' | 'open' | 'exception';
  /** What is known already says that it is not well: only a reason opens the gate. */
  readonly isKnownBad: boolean;
  readonly answer?: GateAnswer;
}

/** What the questions of a print are made from. */
export interface ChecklistContext {
  readonly run: queries.Run;
  readonly row: queries.ProfileRow;
  readonly items: readonly PlateItem[];
  readonly forecast: PlateForecast;
  readonly house: Pick<HouseRules, 'schools' | 'roomC' | 'run' | 'changeoverMl' | 'care'>;
  readonly now: Date;
}

/** A fact with what is known of it. */
interface Known {
  readonly fact: ChecklistFact;
  readonly known: 'well' | 'bad' | 'ask';
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** A bottle shaken within this time is not shaken again. */
const SHAKEN_FOR_MS = HOUR_MS;
/** A room whose window stands open while it prints cools by about so much after it was read, K. */
const OPEN_WINDOW_K = 2;

/** The checks of all parts on the plate. */
function checkFacts(db: Db, { items }: ChecklistContext): Known {
  const views = items.map(({ job }) => viewJobUnlearned(db, job.id)!);
  const unchecked = views.filter((view) => isUnchecked(db, view)).map(({ job }) => job.name);
  const open = views.flatMap((view) => {
    const count = listOpenLosses(db, view).length;
    return count === 0 ? [] : { job: view.job.name, count };
  });
  const known = unchecked.length + open.length === 0 ? 'well' : 'bad';
  return { fact: { key: 'checked', unchecked, open }, known };
}

/** What stands in the vat, and whether it lasts. */
function resinFacts(db: Db, { run, row, forecast, house }: ChecklistContext): Known[] {
  const { printer, resin } = row;
  const inVat =
    printer.vatResinId === null ? undefined : queries.findResin(db, printer.vatResinId)?.resin.name;
  const same = printer.vatResinId === resin.id;
  const { outlook } = forecast;
  const pours = outlook === undefined || outlook === 'tooMuch' ? [] : outlook.plan.topUps;
  const needMl = pours.reduce((sum, { addMl }) => sum + addMl, 0);
  const { bottles } = tables;
  const bottle =
    run.bottleId === null ? undefined : db.select().from(bottles).where(eq(bottles.id, run.bottleId)).get();
  const lots = forecast.vat?.lots ?? [];
  const mixes = bottle !== undefined && lots.length > 0 && !lots.includes(bottle.batch);
  const enough: Known = {
    fact: {
      key: 'enough',
      levelMl: forecast.vat?.levelMl,
      leftMl: outlook === undefined || outlook === 'tooMuch' ? undefined : outlook.plan.leftMl,
      pours: pours.length,
      dryChance: outlook === undefined || outlook === 'tooMuch' ? undefined : outlook.dryChance,
      fill: house.schools.fillLevel,
      tooMuch: outlook === 'tooMuch',
    },
    known:
      outlook === undefined
        ? 'ask'
        : outlook === 'tooMuch'
          ? 'bad'
          : pours.length === 0 && outlook.dryChance < 0.05
            ? 'well'
            : 'ask',
  };
  const resinFact: Known = {
    fact: { key: 'resin', wanted: resin.name, inVat, changeoverMl: house.changeoverMl },
    known: same ? 'well' : printer.vatResinId === null ? 'ask' : 'bad',
  };
  if (needMl === 0) return [resinFact, enough];
  const short = bottle !== undefined && bottle.leftMl < needMl;
  const bottleFact: Known = {
    fact: { key: 'bottle', needMl, leftMl: bottle?.leftMl, lot: bottle?.batch, lots, mixes },
    known: bottle === undefined ? 'ask' : short || mixes ? 'bad' : 'well',
  };
  return [resinFact, enough, bottleFact];
}

/** The film against the cost of this print if it fails, labour included. */
function filmFact(db: Db, { row, house, forecast, items }: ChecklistContext): Known {
  const { care, schools } = house;
  const { since, layers, risk } = filmOf(db, row.printer.id, care.filmLayers);
  const pieces = items.reduce((sum, item) => sum + item.pieces.length, 0);
  const printCost = printCostOf(house, forecast) + handsCostOf(house, pieces);
  const isOld = layers >= care.filmLayers || isFilmDue(risk, printCost, care.filmCost);
  const fact: ChecklistFact = {
    key: 'film',
    since,
    layers,
    isOld,
    risk,
    printCost,
    filmCost: care.filmCost,
    treatment: schools.filmTreatment,
  };
  return { fact, known: isOld ? 'bad' : 'ask' };
}

/** Film, plate and vat: what was done when, and what the last print left. */
function machineFacts(db: Db, context: ChecklistContext): Known[] {
  const { row, house } = context;
  const [last] = queries.listEndedRuns(db, row.printer.id, 1);
  const { level: levelled } = maintenanceDates(db, row.printer.id);
  const { level, levelOn, vatAfter } = house.schools;
  const isStopped = last?.outcome === 'stopped';
  const uncleared = queries.findUncleared(db, row.printer.id)?.at;
  const known = (well: boolean): Known['known'] => (well ? 'well' : 'ask');
  const facts: Known[] = [
    filmFact(db, context),
    {
      fact: { key: 'level', school: level, on: levelOn, last: levelled },
      known: known(
        level === 'onceSetUp' || (level === 'afterRemoval' && levelled !== undefined && !isStopped),
      ),
    },
    { fact: { key: 'plateDry' }, known: 'ask' },
    { fact: { key: 'vatSeated' }, known: known(last !== undefined && !isStopped && vatAfter === 'leave') },
    {
      fact: { key: 'nothingInVat', afterStop: isStopped, reason: last?.endReason ?? '', uncleared },
      known: uncleared === undefined ? 'ask' : 'bad',
    },
  ];
  return facts;
}

/** Warm enough; colder than the datasheet requires; or so close to it that an open window decides. */
function warmth(roomC: number | null, leastC: number | undefined, marginK: number): Known['known'] {
  if (leastC === undefined) return 'well';
  if (roomC === null) return 'ask';
  return roomC < leastC ? 'bad' : roomC < leastC + marginK ? 'ask' : 'well';
}

/** Resin, room and air. */
function roomFacts(db: Db, { run, row, house, now }: ChecklistContext): Known[] {
  const shelved = findShelved(db, row.resin.id);
  const leastC = shelved && evidenceOf(resinFile(shelved)).of('leastRoom_C')?.value;
  const marginK = house.schools.air === 'window' ? OPEN_WINDOW_K : 0;
  const roomC = run.roomC ?? house.roomC;
  const shakenAt = shelved?.bottles.reduce<Date | null>(
    (newest, { shakenAt: at }) => (at !== null && (newest === null || at > newest) ? at : newest),
    null,
  );
  const shakenMs =
    shakenAt === undefined || shakenAt === null ? undefined : now.getTime() - shakenAt.getTime();
  // Shaken later than now says a clock that was set back: it is asked.
  const isShaken = shakenMs !== undefined && shakenMs >= 0 && shakenMs < SHAKEN_FOR_MS;
  const vatSince = row.printer.vatSince === '' ? undefined : new Date(row.printer.vatSince);
  const vatDays = vatSince && Math.floor((now.getTime() - vatSince.getTime()) / DAY_MS);
  const isDue =
    house.schools.vatAfter === 'calendar' && vatDays !== undefined && vatDays >= house.care.drainDays;
  return [
    {
      fact: { key: 'room', roomC: roomC ?? undefined, leastC, marginK },
      known: warmth(roomC, leastC, marginK),
    },
    { fact: { key: 'shaken', vatDays }, known: isShaken ? 'well' : 'ask' },
    ...(isDue ? [{ fact: { key: 'drained', vatDays }, known: 'bad' } as const] : []),
    { fact: { key: 'air', school: house.schools.air, gloves: house.schools.gloves }, known: 'ask' },
  ];
}

/** What is lost on average by starting now, unwatched, and by waiting until somebody is there again; the shop's own money. */
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

/** Whether somebody is there when it ends and when it wants resin. */
function presenceFact(db: Db, context: ChecklistContext): Known {
  const { forecast, house, now } = context;
  const at = (seconds: number) => new Date(now.getTime() + 1000 * seconds);
  const { outlook, finish } = forecast;
  const endsAt = at(finish.middleS);
  const known = outlook === undefined || outlook === 'tooMuch' ? undefined : outlook;
  const missed = (known?.plan.topUps ?? []).filter(({ clockS }) => !isThere(house.run, at(clockS)));
  const isNight = !isThere(house.run, endsAt);
  const dryChance = missed.length > 0 ? known!.dryChance : 0;
  const costs = isNight || missed.length > 0 ? costsOfNight(db, context, dryChance) : undefined;
  return {
    fact: { key: 'present', endsAt, isNight, missedPours: missed.length, costs },
    known: missed.length > 0 ? 'bad' : isNight ? 'ask' : 'well',
  };
}

function questionOf({ fact, known }: Known, gate: queries.Run['gate']): ChecklistQuestion {
  const answer = gate[fact.key];
  const isKnownBad = known === 'bad';
  if (answer === undefined) return { fact, state: known === 'well' ? 'well' : 'open', isKnownBad };
  if (!answer.well) return { fact, state: 'exception', isKnownBad, answer };
  return { fact, state: isKnownBad ? 'open' : 'well', isKnownBad, answer };
}

/** The list before a start, made for this print: what is known is answered, the rest is asked once. */
export function viewChecklist(db: Db, context: ChecklistContext): ChecklistQuestion[] {
  const { forecast, items, row, house } = context;
  const isHeard = row.printer.simulatedSeed !== null && house.schools.fileTransfer === 'network';
  const display: Known = {
    fact: {
      key: 'display',
      name: items.map(({ job, attemptNumber }) => `${job.name} A${attemptNumber}`).join(', '),
      layers: forecast.layers,
      material: row.resin.name,
      seconds: forecast.finish.middleS,
      transfer: house.schools.fileTransfer,
      hollow: items.flatMap(({ job, wallMm }) => (wallMm === undefined ? [] : { job: job.name, wallMm })),
    },
    known: isHeard ? 'well' : 'ask',
  };
  const all = [
    checkFacts(db, context),
    ...resinFacts(db, context),
    ...roomFacts(db, context),
    ...machineFacts(db, context),
    display,
    presenceFact(db, context),
  ];
  return all.map((known) => questionOf(known, context.run.gate));
}
