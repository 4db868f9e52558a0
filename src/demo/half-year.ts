import { eq } from 'drizzle-orm';
import { seededRandom } from '@/core/kit/numerics';
import type { FailureKind } from '@/core/log';
import { expectOk } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { createJob, notePrints } from '@/subjects/job/jobs';
import { keepCause, noteFailure, noteWell } from '@/subjects/log';
import { programOf } from '@/subjects/signature';

const WEEKS = 24;
const WEEK_MS = 7 * 86_400_000;
/** A rack of 108 mm printed standing. */
const LAYERS = 2160;
const HOURS = 9.6;
/** Where the film of Old Amber has a dent since the thirteenth week, mm from the middle of the plate. */
const DENT_MM = [-32, 14] as const;
const DENT_RADIUS_MM = 17;
const DENTED_FROM = 12;

interface Piece {
  readonly id: number;
  readonly xMm: number;
  readonly yMm: number;
}

/** One print of four racks, as it ended; its rows are written as the use cases would have written them. */
function runOf(db: Db, { profileId, attemptId, endedAt, uniform }: Week): { runId: number; pieces: Piece[] } {
  const row = queries.findProfile(db, profileId)!;
  const { program } = programOf(row);
  const plan = {
    program,
    layers: LAYERS,
    plannedS: HOURS * 3600,
    resinMl: 62,
    settings: row.profile.settings as never,
    speed: 1,
  };
  const startedAt = new Date(endedAt.getTime() - HOURS * 3_600_000);
  const { id: runId } = db
    .insert(tables.runs)
    .values({
      profileId,
      createdAt: startedAt,
      startedAt,
      endedAt,
      outcome: 'done',
      plan,
      roomC: 21 + 3 * uniform(),
    })
    .returning()
    .get();
  const pieces = [-1, 1].flatMap((column) =>
    [-1, 1].map((rank) => {
      const at = { xMm: 30 * column + 8 * (uniform() - 0.5), yMm: 15 * rank + 5 * (uniform() - 0.5) };
      return {
        ...at,
        ...db
          .insert(tables.runPieces)
          .values({ runId, attemptId, ...at })
          .returning()
          .get(),
      };
    }),
  );
  const ofRun = {
    runId,
    madeAt: endedAt,
    places: pieces.map((at) => ({ ...at, isTurned: false })),
    brokenNote: '',
  };
  notePrints(db, attemptId, undefined, { ofRun }).forEach((printId, i) => {
    db.update(tables.runPieces).set({ printId }).where(eq(tables.runPieces.id, pieces[i].id)).run();
  });
  return { runId, pieces };
}

interface Week {
  readonly profileId: number;
  readonly attemptId: number;
  readonly endedAt: Date;
  readonly uniform: () => number;
}

const isOverDent = ({ xMm, yMm }: Piece) => Math.hypot(xMm - DENT_MM[0], yMm - DENT_MM[1]) < DENT_RADIUS_MM;

/**
 * Half a year of prints of Old Amber, four soft racks a week. A support broke once, and was found to be the cause;
 * since the thirteenth week the film has a dent that nobody suspects.
 */
export function makeHalfYear(db: Db): void {
  const kelp = queries
    .listProfiles(db)
    .find(({ resin, printer }) => resin.name === 'Kelp Flex' && printer.name === 'Old Amber');
  if (kelp === undefined) throw new RangeError('makeHalfYear: Old Amber has no Kelp Flex yet');
  const profileId = kelp.profile.id;
  const now = Date.now();
  const jobId = createJob(db, 'Sample vial rack, soft', profileId);
  const attemptId = db
    .insert(tables.attempts)
    .values({ jobId, number: 1, profileId, createdAt: new Date(now - (WEEKS + 1) * WEEK_MS) })
    .returning()
    .get().id;
  const { uniform } = seededRandom(24);
  for (let week = 0; week < WEEKS; week++) {
    const endedAt = new Date(now - (WEEKS - week) * WEEK_MS + 2 * 86_400_000);
    const { runId, pieces } = runOf(db, { profileId, attemptId, endedAt, uniform });
    const lost = (piece: Piece) =>
      week === 5 ? piece === pieces[3] : week >= DENTED_FROM && isOverDent(piece) && uniform() < 0.6;
    const failed = pieces.filter(lost);
    if (failed.length === 0) expectOk(noteWell(db, runId, endedAt));
    const kind: FailureKind = week === 5 ? 'sheared' : 'missingRegion';
    for (const { id } of failed)
      expectOk(
        noteFailure(
          db,
          runId,
          {
            clientKey: `half year ${runId} ${id}`,
            pieceIds: [id],
            kind,
            layer: 200 + Math.round(1800 * uniform()),
            partMm: [6 * (uniform() - 0.5), 16 * (uniform() - 0.5)],
            note: '',
          },
          endedAt,
        ),
      );
    if (week === 5) expectOk(keepCause(db, runId, 'supports', endedAt));
  }
  db.update(tables.jobs)
    .set({ archivedAt: new Date(now) })
    .where(eq(tables.jobs.id, jobId))
    .run();
}
