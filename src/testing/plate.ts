import { CHECKLIST_KEYS } from '@/core/print/checklist';
import { eq } from 'drizzle-orm';
import { expectOk } from '@/core/kit';
import { type Db, tables } from '@/store';
import { HOUSE_DEFAULTS, type HouseRules } from '@/subjects/workshop/settings';
import { answerChecklist, keepLayers, keepVat, layOnPlate } from '@/subjects/print/plate';
import { changePrinter } from '@/subjects/signature';
import { readyBench } from './bench';

const ALWAYS = [{ fromMin: 0, toMin: 24 * 60 }];

/** A house in which somebody is always there. */
export const OPEN_HOUSE: HouseRules = {
  ...HOUSE_DEFAULTS,
  run: { ...HOUSE_DEFAULTS.run, presence: Array.from({ length: 7 }, () => ALWAYS) },
};

/** Gives a job a file, and its layers: a block of so many layers of 200 mm². */
export function giveLayers(db: Db, jobId: number, layers = 200): void {
  const hash = `file of ${jobId}`;
  db.insert(tables.meshes)
    .values({ hash, name: 'part.stl', bytes: 1, createdAt: new Date() })
    .onConflictDoNothing()
    .run();
  db.update(tables.jobs).set({ meshHash: hash }).where(eq(tables.jobs.id, jobId)).run();
  expectOk(
    keepLayers(db, {
      part: hash,
      layerMm: 0.05,
      areasMm2: new Array<number>(layers).fill(200),
      sizeMm: [20, 10, layers * 0.05],
      volumeMm3: 200 * 0.05 * layers,
      surfaceMm2: 2 * 200 + 60 * 0.05 * layers,
    }),
  );
}

/** The ready bench with its job on a plate of a printer of known size, its vat read. */
export function benchWithPlate({ copies = 2, levelMl = 150 } = {}) {
  const bench = readyBench();
  const { db, jobId } = bench;
  giveLayers(db, jobId);
  const printerId = db.select().from(tables.printers).get()!.id;
  changePrinter(db, printerId, { rooms: { plate: [120, 70, 150] }, layerSeconds: 8 });
  expectOk(keepVat(db, printerId, { capacityMl: 200, floorMl: 25, read: { by: 'volume', ml: levelMl } }));
  const runId = expectOk(layOnPlate(db, jobId, { copies, gapMm: 2 }));
  return { ...bench, printerId, runId };
}

/** Answers every question of a gate, whatever is known. */
export function openChecklist(db: Db, runId: number): void {
  expectOk(answerChecklist(db, runId, { keys: CHECKLIST_KEYS, well: false, reason: 'for the test' }));
}
