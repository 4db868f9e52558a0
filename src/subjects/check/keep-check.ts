import type { Finding, Stance } from '@/core/findings';
import { type Db, tables } from '@/store';
import { noteLedger } from '@/subjects/records';
import { lastCheck, sameStance } from './view-check';

/** Keeps what a look at the layers found; the same look twice is kept once. */
export function keepCheck(
  db: Db,
  jobId: number,
  found: {
    readonly source: string;
    readonly stance: Stance;
    readonly layerMm: number;
    readonly findings: readonly Finding[];
  },
): void {
  const before = lastCheck(db, jobId);
  const keys = (findings: readonly Finding[]) => findings.map(({ key }) => key).join(' ');
  if (
    before !== undefined &&
    before.source === found.source &&
    sameStance(before.stance, found.stance) &&
    keys(before.findings) === keys(found.findings)
  )
    return;
  db.insert(tables.checks)
    .values({ jobId, ...found, at: new Date() })
    .run();
  const lost = found.findings.filter(({ risk }) => risk === 'printLost').length;
  noteLedger(
    db,
    jobId,
    'check',
    found.findings.length === 0
      ? 'Layers read: nothing found'
      : `Layers read: ${found.findings.length} found`,
    lost === 0 ? 'none that loses the print' : `${lost} could lose the print`,
  );
}
