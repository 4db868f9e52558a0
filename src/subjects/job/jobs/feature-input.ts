import { and, eq } from 'drizzle-orm';
import { type FeatureKind, findKindIssue } from '@/core/measure';
import { type Db, kindColumns, queries, tables, evidenceChanged } from '@/store';
import type { JobIssue } from './words-issues';

export interface FeatureInput {
  readonly name: string;
  readonly kind: FeatureKind;
  readonly targetMm: number;
  readonly lowerDeviationMm: number;
  readonly upperDeviationMm: number;
  readonly mateName?: string;
  readonly mateMm?: number;
  readonly mateU_mm?: number;
  readonly anchor?: [number, number, number];
}

export function findInputIssue(
  db: Db,
  jobId: number,
  wanted: FeatureInput,
  ownId?: number,
): JobIssue | undefined {
  const issue = findKindIssue(wanted.kind);
  if (issue !== undefined) return { code: 'kind', issue };
  if (!(wanted.targetMm > 0)) return { code: 'notPositive' };
  if (!(wanted.lowerDeviationMm < wanted.upperDeviationMm)) return { code: 'limitsCrossed' };
  const taken = queries.listFeatures(db, jobId).some(({ id, name }) => id !== ownId && name === wanted.name);
  return taken ? { code: 'nameTaken', name: wanted.name } : undefined;
}

export function keepMate(db: Db, jobId: number, { mateName, mateMm, mateU_mm }: FeatureInput): number | null {
  if (mateName === undefined || mateName === '') return null;
  const values = { sizeMm: mateMm ?? null, uMm: mateU_mm ?? null };
  const known = db
    .select()
    .from(tables.mates)
    .where(and(eq(tables.mates.jobId, jobId), eq(tables.mates.name, mateName)))
    .get();
  if (known === undefined)
    return db
      .insert(tables.mates)
      .values({ jobId, name: mateName, ...values })
      .returning()
      .get().id;
  db.update(tables.mates).set(values).where(eq(tables.mates.id, known.id)).run();
  evidenceChanged(db, { jobId });
  return known.id;
}

export function featureValues({
  name,
  kind,
  targetMm,
  lowerDeviationMm,
  upperDeviationMm,
  anchor,
}: FeatureInput) {
  return {
    name,
    ...kindColumns(kind),
    targetMm,
    lowerDeviationMm,
    upperDeviationMm,
    ...(anchor === undefined ? {} : { anchor }),
  };
}
