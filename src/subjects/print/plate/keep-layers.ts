import { fail, ok, type Result } from '@/core/kit';
import { type Db, tables } from '@/store';
import type { PlateIssue } from './words-plate';

/** Layers of a part, as read from its file. */
export interface LayersRead {
  readonly part: string;
  readonly layerMm: number;
  readonly areasMm2: readonly number[];
  readonly sizeMm: readonly [number, number, number];
  readonly volumeMm3: number;
  readonly surfaceMm2: number;
}

/** Keeps the layers of a part; read again they replace what was kept. A part without layers is none. */
export function keepLayers(db: Db, read: LayersRead): Result<void, PlateIssue> {
  if (!read.areasMm2.some((area) => area > 0)) return fail({ code: 'noLayers' });
  const { part, layerMm, ...values } = read;
  const areasMm2 = read.areasMm2.map((area) => Math.round(area * 100) / 100);
  const row = { ...values, areasMm2, readAt: new Date() };
  db.insert(tables.partLayers)
    .values({ part, layerMm, ...row })
    .onConflictDoUpdate({ target: [tables.partLayers.part, tables.partLayers.layerMm], set: row })
    .run();
  return ok(undefined);
}
