import { FAILURE_KINDS, type FailureKind, TEST_TABLE, type TestName } from '@/core/log';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries } from '@/store';
import { viewItems } from '@/subjects/print/plate';
import { lookAtRun, testOnSimulated } from '@/subjects/simulated';
import { keepTest, noteFailure, noteWell } from './keep-failure';
import type { LogIssue } from './words-maintenance';

const kindOf = (kind: string): FailureKind => FAILURE_KINDS.find((each) => each === kind) ?? 'missingRegion';

/** Length and width of the pieces on a plate whose files were read, mm. */
function sizesOn(db: Db, runId: number): ReadonlyMap<number, readonly [number, number]> {
  return new Map(
    viewItems(db, runId).flatMap(({ sizeMm, pieces }) =>
      sizeMm === undefined ? [] : pieces.map(({ id }) => [id, [sizeMm[0], sizeMm[1]] as const] as const),
    ),
  );
}

/** Looks at what came off a simulated printer, and notes it as a person would: each failed piece, or that all is well. */
export function noteSimulated(db: Db, runId: number, at = new Date()): Result<void, LogIssue> {
  const run = queries.findRun(db, runId);
  const seen = run && lookAtRun(db, run, sizesOn(db, runId));
  if (seen === undefined) return fail({ code: 'gone' });
  const failed = seen.flatMap(({ pieceId, failure }) =>
    failure === undefined ? [] : [{ pieceId, failure }],
  );
  if (failed.length === 0) return noteWell(db, runId, at);
  return allOrNothing<void, LogIssue>(db, (tx) => {
    for (const { pieceId, failure } of failed) {
      const { kind, layer, partMm } = failure;
      const noted = noteFailure(
        tx,
        runId,
        {
          clientKey: `simulated ${runId} ${pieceId}`,
          pieceIds: [pieceId],
          kind: kindOf(kind),
          layer,
          partMm: [...partMm],
          note: '',
        },
        at,
      );
      if (!noted.ok) return noted;
    }
    return ok(undefined);
  });
}

/** Makes a deciding test on the simulated printer of a failed run. */
export function testSimulated(
  db: Db,
  runId: number,
  test: TestName,
  at = new Date(),
): Result<void, LogIssue> {
  const run = queries.findRun(db, runId);
  const isFirst = run && testOnSimulated(db, run, test);
  if (isFirst === undefined) return fail({ code: 'gone' });
  const [first, second] = TEST_TABLE[test].outcomes;
  return keepTest(db, runId, { test, outcome: (isFirst ? first : second).name }, at);
}
