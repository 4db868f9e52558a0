import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { type Db, tables } from '@/store';

/** What a printer on the network reports; a simulated one answers in the same way. */
export const printerReport = z.object({
  state: z.enum(['idle', 'printing', 'stopped', 'done']),
  file: z.string().default(''),
  /** Layer under way, from 0. */
  layer: z.int().nonnegative().default(0),
  layers: z.int().nonnegative().default(0),
  /** By the printer's own clock, from its start. */
  elapsed_s: z.number().nonnegative().default(0),
});
export type PrinterReport = z.infer<typeof printerReport>;

/** Commands to a simulated printer. */
export const PRINTER_WORDS = ['stop', 'silence', 'speak'] as const;
export type PrinterWord = (typeof PRINTER_WORDS)[number];

/** A print as it is sent to a printer. */
export interface SentPrint {
  readonly file: string;
  readonly layers: number;
  readonly plannedS: number;
  /** Its clock is to run so many times as fast as the one on the wall. */
  readonly speed: number;
}

/** The simulated printer's own pace against what slicers plan: hidden, drawn once from its seed. */
function paceOf(seed: number, file: string): number {
  const own = Math.exp(0.12 * seededRandom(seedFrom(seed, 'pace')).normal());
  return own * Math.exp(0.02 * seededRandom(seedFrom(seed, `pace ${file}`)).normal());
}

function isSimulated(db: Db, printerId: number): { readonly seed: number } | undefined {
  const printer = db.select().from(tables.printers).where(eq(tables.printers.id, printerId)).get();
  return printer === undefined || printer.simulatedSeed === null
    ? undefined
    : { seed: printer.simulatedSeed };
}

/** Starts a print on a simulated printer; false where the printer is none. */
export function startSimulated(db: Db, printerId: number, sent: SentPrint, now: Date): boolean {
  const printer = isSimulated(db, printerId);
  if (printer === undefined) return false;
  const { file, layers, plannedS, speed } = sent;
  const realS = plannedS * paceOf(printer.seed, file);
  const row = { file, layers, realS, speed, startedAt: now, stoppedLayer: null, silentUntil: null };
  db.insert(tables.simulatedRuns)
    .values({ printerId, ...row })
    .onConflictDoUpdate({ target: tables.simulatedRuns.printerId, set: row })
    .run();
  return true;
}

/** What a simulated printer answers now; undefined: it is none, or it is silent. */
export function askSimulated(db: Db, printerId: number, now: Date): PrinterReport | undefined {
  if (isSimulated(db, printerId) === undefined) return undefined;
  const row = db
    .select()
    .from(tables.simulatedRuns)
    .where(eq(tables.simulatedRuns.printerId, printerId))
    .get();
  const idle: PrinterReport = { state: 'idle', file: '', layer: 0, layers: 0, elapsed_s: 0 };
  if (row === undefined) return idle;
  const { file, layers, realS, speed, startedAt, stoppedLayer, silentUntil } = row;
  if (silentUntil !== null && now < silentUntil) return undefined;
  const elapsed_s = Math.max(0, ((now.getTime() - startedAt.getTime()) / 1000) * speed);
  if (stoppedLayer !== null)
    return {
      state: 'stopped',
      file,
      layer: stoppedLayer,
      layers,
      elapsed_s: (realS * stoppedLayer) / layers,
    };
  if (elapsed_s >= realS) return { state: 'done', file, layer: layers, layers, elapsed_s: realS };
  return { state: 'printing', file, layer: Math.floor((layers * elapsed_s) / realS), layers, elapsed_s };
}

const SILENT_MS = 3_600_000;

/** Tells a simulated printer something: to stop where it is, to fall silent for an hour, to answer again. */
export function tellSimulated(db: Db, printerId: number, word: PrinterWord, now: Date): boolean {
  const report = askSimulated(db, printerId, now);
  const { simulatedRuns } = tables;
  const change =
    word === 'silence'
      ? { silentUntil: new Date(now.getTime() + SILENT_MS) }
      : word === 'speak'
        ? { silentUntil: null }
        : report?.state === 'printing'
          ? { stoppedLayer: report.layer }
          : undefined;
  if (change === undefined) return false;
  return db.update(simulatedRuns).set(change).where(eq(simulatedRuns.printerId, printerId)).run().changes > 0;
}
