import {
  findGaugeIssue,
  gaugeAnchors,
  gaugeFeatures,
  type GaugeIssue,
  type GaugeSpec,
} from '@/core/fit/gauges';
import { expectOk, fail, ok, type Result } from '@/core/kit';
import { type Db, kindColumns, queries, tables } from '@/store';
import { startAttempt, viewJob } from '@/subjects/job/jobs';
import { chooseControl } from '@/subjects/signature';
import { recordDecision } from '@/subjects/workshop/records';
import type { GaugeEntry } from './words-decisions';

interface NewGauge {
  readonly name: string;
  readonly profileId: number;
  readonly spec: GaugeSpec;
  /** Its first size is to be read on every print of the profile from now on. */
  readonly isControl?: boolean;
  /** What a pocket, hole or pin test is tried with. */
  readonly mate?: { readonly name: string; readonly sizeMm: number; readonly u_mm: number };
}

/** Half width of a gauge size's limits, mm: they only scale its strip, a gauge has nothing to fit. */
const GAUGE_LIMIT_MM = 0.1;

/** Its one attempt, at the sizes it is made of, with what is expected of each before it is printed. */
function drawAsItIs(db: Db, jobId: number, profileId: number): void {
  const view = viewJob(db, jobId)!;
  if (view.features.length === 0) {
    db.insert(tables.attempts).values({ jobId, number: 1, profileId, createdAt: new Date() }).run();
    recordDecision<GaugeEntry>(db, jobId, 'correct', { code: 'gaugeDrawn' });
    return;
  }
  const drawnMm = new Map(view.features.map(({ id, targetMm }) => [id, targetMm]));
  expectOk(startAttempt(db, view, { lever: 'drawn', reason: '', drawnMm }));
}

/** Makes a gauge as a job of its own, drawn as it is: its file is ready, its sizes stand in the order of reading. */
export function createGauge(db: Db, wanted: NewGauge): Result<number, GaugeIssue> {
  const { spec, profileId, name, mate, isControl = false } = wanted;
  const issue = findGaugeIssue(spec);
  if (issue !== undefined) return fail(issue);
  const anchors = gaugeAnchors(spec);
  return db.transaction((tx) => {
    const { id: jobId } = tx
      .insert(tables.jobs)
      .values({ kind: 'gauge', name, profileId, gauge: spec, createdAt: new Date() })
      .returning()
      .get();
    const mateId =
      mate === undefined
        ? null
        : tx
            .insert(tables.mates)
            .values({ jobId, name: mate.name, sizeMm: mate.sizeMm, uMm: mate.u_mm })
            .returning()
            .get().id;
    // Steps of joints are tried by hand, not measured.
    const sizes = spec.kind === 'joint' ? [] : gaugeFeatures(spec);
    sizes.forEach(({ feature, kind, drawnMm }, position) => {
      const anchor = anchors.get(feature);
      tx.insert(tables.features)
        .values({
          jobId,
          position,
          name: feature,
          ...kindColumns(kind),
          targetMm: drawnMm,
          lowerDeviationMm: -GAUGE_LIMIT_MM,
          upperDeviationMm: GAUGE_LIMIT_MM,
          mateId,
          anchor: anchor === undefined ? null : [anchor[0], anchor[1], anchor[2]],
        })
        .run();
    });
    drawAsItIs(tx, jobId, profileId);
    if (isControl) expectOk(chooseControl(tx, profileId, queries.listFeatures(tx, jobId)[0]?.id));
    return ok(jobId);
  });
}
