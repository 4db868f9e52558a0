import { and, eq } from 'drizzle-orm';
import type { Material } from '@/core/fit/mating';
import type { MateOrigin } from '@/core/job/need';
import { type Db, tables, evidenceChanged } from '@/store';

export interface MateInput {
  readonly name: string;
  readonly sizeMm?: number;
  readonly u_mm?: number;
  readonly material: Material;
  readonly origin: MateOrigin;
  readonly irreplaceable: boolean;
}

/** Keeps the body under its name; what was read on a measuring sheet is not overwritten by blanks. */
export function keepMateBody(
  db: Db,
  jobId: number,
  input: MateInput & { readonly measure?: string },
): number {
  const { name, sizeMm, u_mm, measure, ...rest } = input;
  const values = {
    ...rest,
    ...(sizeMm === undefined ? {} : { sizeMm, uMm: u_mm ?? null }),
    ...(measure === undefined ? {} : { measure }),
  };
  const { mates } = tables;
  const known = db
    .select()
    .from(mates)
    .where(and(eq(mates.jobId, jobId), eq(mates.name, name)))
    .get();
  if (known === undefined)
    return db
      .insert(mates)
      .values({ jobId, name, ...values })
      .returning()
      .get().id;
  db.update(mates).set(values).where(eq(mates.id, known.id)).run();
  // A word of fit says something about the clearance on this body.
  evidenceChanged(db, { jobId });
  return known.id;
}
