import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { type Db, tables } from '@/store';

export const STATIONS = ['wash', 'lamp'] as const;
export type Station = (typeof STATIONS)[number];

/** What a wash or a lamp on the network reports; a simulated one answers in the same way. */
export const stationReport = z.object({
  state: z.enum(['idle', 'running', 'opened', 'done']),
  load: z.string().default(''),
  /** What it was set to, and what it has given, by its own clock. */
  set_s: z.number().nonnegative().default(0),
  given_s: z.number().nonnegative().default(0),
});
export type StationReport = z.infer<typeof stationReport>;

const IDLE: StationReport = { state: 'idle', load: '', set_s: 0, given_s: 0 };

/** A load as it is put in. */
interface Load {
  readonly load: string;
  readonly seconds: number;
  /** Its clock runs so many times as fast as the one on the wall. */
  readonly speed: number;
}

/** Puts a load into a simulated station; what was in it before is out. */
export function startStation(db: Db, station: Station, load: Load, now: Date): void {
  const row = { ...load, startedAt: now, openedAt: null };
  const { simulatedStations } = tables;
  db.insert(simulatedStations)
    .values({ station, ...row })
    .onConflictDoUpdate({ target: simulatedStations.station, set: row })
    .run();
}

/** What a simulated station answers now. It gives what it was set to, or what it gave until its lid was opened. */
export function askStation(db: Db, station: Station, now: Date): StationReport {
  const { simulatedStations } = tables;
  const row = db.select().from(simulatedStations).where(eq(simulatedStations.station, station)).get();
  if (row === undefined) return IDLE;
  const { load, seconds, speed, startedAt, openedAt } = row;
  const ranS = Math.max(0, (((openedAt ?? now).getTime() - startedAt.getTime()) / 1000) * speed);
  const given_s = Math.min(seconds, ranS);
  const state = given_s >= seconds ? 'done' : openedAt === null ? 'running' : 'opened';
  return { state, load, set_s: seconds, given_s };
}

/** Opens the lid of a simulated station: it stops there. False where nothing runs in it. */
export function openStation(db: Db, station: Station, now: Date): boolean {
  if (askStation(db, station, now).state !== 'running') return false;
  const { simulatedStations } = tables;
  return (
    db.update(simulatedStations).set({ openedAt: now }).where(eq(simulatedStations.station, station)).run()
      .changes > 0
  );
}
