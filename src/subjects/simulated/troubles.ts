import { eq } from 'drizzle-orm';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { drawStory, lookAtPiece, showsTest, type Story, type TroubleSet } from '@/core/simulated';
import { type Db, queries, tables } from '@/store';
import type { TroubleChoice } from './input-trouble';

/** How a piece failed, to the simulated eye. */
export interface SeenPiece {
  readonly pieceId: number;
  readonly failure?: NonNullable<ReturnType<typeof lookAtPiece>>;
}

/** A plate of a printer with unknown size. */
const ASSUMED_HALF_MM = [60, 34] as const;
/** Of a part whose file was not read. */
const ASSUMED_SIDE_MM = 20;
/** So many of the files have the weak place where the trouble sits in the part. */
const WEAK_SHARE = 0.7;

/** Sets a fault on a simulated printer: one cause, a hidden one, or none. */
export function setTrouble(db: Db, printerId: number, wanted: TroubleChoice, seed: number): boolean {
  const { printers } = tables;
  const row = db.select().from(printers).where(eq(printers.id, printerId)).get();
  if (row === undefined || row.simulatedSeed === null) return false;
  const { trouble } = drawStory(seed);
  const set: TroubleSet | null =
    wanted === 'none'
      ? null
      : { seed, trouble: wanted === 'hidden' ? trouble : wanted, isHidden: wanted === 'hidden' };
  db.update(printers).set({ trouble: set }).where(eq(printers.id, printerId)).run();
  return true;
}

function storyOf(trouble: TroubleSet | null): Story | undefined {
  return trouble === null ? undefined : drawStory(trouble.seed, trouble.trouble);
}

/** What came off a run of a simulated printer, piece by piece, each of its own size, mm; undefined: it is a real one. */
export function lookAtRun(
  db: Db,
  run: queries.Run,
  sizes: ReadonlyMap<number, readonly [number, number]>,
): SeenPiece[] | undefined {
  const printer = queries.findProfile(db, run.profileId)?.printer;
  if (printer === undefined || printer.simulatedSeed === null) return undefined;
  const pieces = queries.listPieces(db, run.id);
  const story = storyOf(printer.trouble);
  if (story === undefined) return pieces.map(({ piece }) => ({ pieceId: piece.id }));
  const plate = printer.rooms.plate;
  const files = new Set(pieces.map(({ attempt }) => attempt.id));
  const isWeak = (attemptId: number) =>
    files.size === 1 || seededRandom(seedFrom(story.seed, `file ${attemptId}`)).uniform() < WEAK_SHARE;
  return pieces.map(({ piece, attempt }) => ({
    pieceId: piece.id,
    failure: lookAtPiece(story, {
      key: `${run.id} ${piece.id}`,
      plateMm: [piece.xMm, piece.yMm],
      halfPlateMm: plate === undefined ? ASSUMED_HALF_MM : [plate[0] / 2, plate[1] / 2],
      sizeMm: sizes.get(piece.id) ?? [ASSUMED_SIDE_MM, ASSUMED_SIDE_MM],
      isWeakFile: isWeak(attempt.id),
      layers: run.plan?.layers ?? 200,
    }),
  }));
}

/** Whether a deciding test shows its first outcome on the simulated printer of a run; undefined: it is a real one. */
export function testOnSimulated(db: Db, run: queries.Run, test: string): boolean | undefined {
  const printer = queries.findProfile(db, run.profileId)?.printer;
  if (printer === undefined || printer.simulatedSeed === null) return undefined;
  const story = storyOf(printer.trouble);
  return story === undefined ? false : showsTest(story, test);
}

/** Puts a cause right on a simulated printer: it helps where that was what ailed it. */
export function repairSimulated(db: Db, run: queries.Run, cause: string): void {
  const printer = queries.findProfile(db, run.profileId)?.printer;
  if (printer?.trouble?.trouble !== cause) return;
  db.update(tables.printers).set({ trouble: null }).where(eq(tables.printers.id, printer.id)).run();
}
