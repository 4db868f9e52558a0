import { groupBy } from '@/core/kit';
import type { Jaw } from '@/core/measure';
import { type Db, queries } from '@/store';
import { listInstruments } from './view-instruments';

/** What the last checks of one jaw of a caliper showed. */
export interface JawCheck {
  readonly jaw: Jaw;
  readonly piece: string;
  readonly knownMm: number;
  readonly u_mm: number;
  /** Mean of reading − known on the day of the last check, mm, and how many readings it is of. */
  readonly offMm: number;
  readonly count: number;
  readonly lastAt: Date;
  readonly lastId: number;
}

const DAY_MS = 86_400_000;

/** The last check of each jaw of a caliper, on the last piece that it was read on. */
export function viewChecks(db: Db, instrumentId: number): JawCheck[] {
  const byJaw = groupBy(queries.listChecks(db, [instrumentId]), ({ check }) => check.jaw);
  return [...byJaw].map(([jaw, rows]) => {
    const last = rows[rows.length - 1].check;
    const same = rows.filter(
      ({ check }) =>
        check.piece === last.piece &&
        check.knownMm === last.knownMm &&
        last.takenAt.getTime() - check.takenAt.getTime() < DAY_MS,
    );
    return {
      jaw,
      piece: last.piece,
      knownMm: last.knownMm,
      u_mm: last.uMm,
      offMm: same.reduce((sum, { check }) => sum + check.readingMm - check.knownMm, 0) / same.length,
      count: same.length,
      lastAt: last.takenAt,
      lastId: last.id,
    };
  });
}

/** Calipers that were checked before, and not for so many days; none where nobody wants to be reminded. */
export function listChecksDue(db: Db, everyDays: number | null, now: Date) {
  if (everyDays === null) return [];
  return listInstruments(db).flatMap(({ id, name }) => {
    const last = queries.listChecks(db, [id]).at(-1)?.check.takenAt;
    const days = last === undefined ? 0 : Math.floor((now.getTime() - last.getTime()) / DAY_MS);
    return days > everyDays ? [{ id, name, days }] : [];
  });
}
