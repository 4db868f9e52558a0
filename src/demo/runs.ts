import { CHECKLIST_KEYS } from '@/core/print/checklist';
import { sweepLayers } from '@/core/part/layers';
import { checkMesh, readMesh, weldCorners } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { type Db, queries } from '@/store';
import { makeMaintenance } from './maintenance';
import { makeHalfYear } from './half-year';
import { readHouseRules } from '@/subjects/workshop/settings';
import { buildJobFile, viewJob } from '@/subjects/job/jobs';
import {
  answerChecklist,
  changeRun,
  keepLayers,
  keepVat,
  layersKey,
  layOnPlate,
  startRun,
} from '@/subjects/print/plate';

/** Reads the layers of a job's part off its file, as its plate would. */
async function readLayersOf(db: Db, jobId: number): Promise<void> {
  const view = viewJob(db, jobId)!;
  const { layerMm } = view.profile!.profile;
  const bytes = (await buildJobFile(view, 'newest', 'stl'))!;
  const mesh = weldCorners(expectOk(readMesh(bytes, 'part.stl', () => {})).corners);
  const { bounds, volumeMm3, areaMm2 } = checkMesh(mesh);
  const [x, y, z] = [0, 1, 2].map((i) => bounds.max[i] - bounds.min[i]);
  const read = {
    part: layersKey(view)!,
    layerMm,
    areasMm2: [...sweepLayers(mesh, { heightMm: layerMm }).areaMm2],
    sizeMm: [x, y, z] as const,
    volumeMm3,
    surfaceMm2: areaMm2,
  };
  expectOk(keepLayers(db, read));
}

const jobNamed = (db: Db, name: string) => queries.listJobs(db).find(({ job }) => job.name === name)!.job.id;

/** Lays jobs on one plate, the first of them with its copies. */
async function layTogether(
  db: Db,
  things: readonly { readonly name: string; readonly copies: number }[],
): Promise<number> {
  const { plateGapMm: gapMm } = readHouseRules(db).run;
  let runId: number | undefined;
  for (const { name, copies } of things) {
    const jobId = jobNamed(db, name);
    await readLayersOf(db, jobId);
    runId = expectOk(layOnPlate(db, jobId, { runId, copies, gapMm }));
  }
  return runId!;
}

/** How long ago the print that is under way was started, ms. */
const STARTED_AGO_MS = 8 * 60_000;

/**
 * The day at the station as one finds it: a rack and a block print on Long Bench since eight minutes, two bushings lie on
 * a plate that waits for it; Old Amber has half a year of prints behind it.
 */
export async function makeDemoRuns(db: Db): Promise<void> {
  const house = readHouseRules(db);
  const now = new Date();
  const racks = await layTogether(db, [
    { name: 'Sample vial rack', copies: 1 },
    { name: 'Signature block, six sizes', copies: 1 },
  ]);
  const printer = queries.findProfile(db, queries.findRun(db, racks)!.profileId)!.printer;
  const read = { by: 'marks', lowMl: 50, highMl: 200, share: 0.5 } as const;
  expectOk(keepVat(db, printer.id, { capacityMl: 200, floorMl: 25, read }));
  expectOk(changeRun(db, racks, { roomC: 22 }));
  expectOk(answerChecklist(db, racks, { keys: CHECKLIST_KEYS, well: true, reason: '' }));
  expectOk(
    answerChecklist(db, racks, {
      keys: ['checked', 'present'],
      well: false,
      reason: 'printed like this twice, and somebody stays until the end',
    }),
  );
  expectOk(startRun(db, racks, { house, now: new Date(now.getTime() - STARTED_AGO_MS) }));
  await layTogether(db, [{ name: 'Float-wheel bushing', copies: 2 }]);
  makeHalfYear(db);
  makeMaintenance(db);
}
