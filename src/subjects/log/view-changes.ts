import { groupBy } from '@/core/kit';
import { type SettingChange, settingChanges } from '@/core/print';
import { type Db, queries } from '@/store';

export type NotedChange = ReturnType<typeof queries.listChanges>[number];

/** 2 × Sample vial rack A3, Signature block A1 */
function platedNames(db: Db, runId: number): string {
  const names = queries.listPieces(db, runId).map(({ job, attempt }) => `${job.name} A${attempt.number}`);
  return [...groupBy(names, (name) => name)]
    .map(([name, own]) => (own.length === 1 ? name : `${own.length} × ${name}`))
    .join(', ');
}

/** A room so much warmer or colder is worth a line, K. */
const FELT_K = 2;

/** The room, where it was warmer or colder than one feels, and what lay on the plate. */
function changesAround(db: Db, good: queries.Run, run: queries.Run): SettingChange[] {
  const [before, after] = [good.roomC, run.roomC];
  const isFelt = before !== null && after !== null && Math.abs(after - before) >= FELT_K;
  const around = ({ id, roomC }: queries.Run) => ({
    ...(isFelt ? { roomC: Math.round(roomC!) } : {}),
    plate: platedNames(db, id),
  });
  return settingChanges(around(good), around(run));
}

/** What differs from the last good run: its settings, the room, and what lay on the plate; undefined: there is nothing to compare with. */
export function changesSince(
  db: Db,
  good: queries.Run | undefined,
  run: queries.Run,
): SettingChange[] | undefined {
  if (good === undefined || good.plan === null || run.plan === null) return undefined;
  return [...settingChanges(good.plan.settings, run.plan.settings), ...changesAround(db, good, run)];
}

/** Changes of the profile that were noted between two runs, with their reasons. */
export function notedSince(db: Db, good: queries.Run, run: queries.Run): NotedChange[] {
  return queries.listChanges(db, run.profileId).filter(({ at }) => at > good.endedAt! && at <= run.endedAt!);
}
