import type { Finding, PrintSetup } from '@/core/part/findings';
import { type Db, tables } from '@/store';
import { recordDecision } from '@/subjects/workshop/records';
import { lastCheck, samePrintSetup } from './view-check';
import type { CheckEntry } from './words-decisions';

/** What a look at the layers of a file found, standing so. */
export interface LayersFound {
  readonly source: string;
  readonly stance: PrintSetup;
  readonly layerMm: number;
  readonly findings: readonly Finding[];
}

/** Keeps what a look at the layers found; the same look twice is kept once. */
export function keepCheck(db: Db, jobId: number, found: LayersFound): void {
  const before = lastCheck(db, jobId);
  const keys = (findings: readonly Finding[]) => findings.map(({ key }) => key).join(' ');
  if (
    before !== undefined &&
    before.source === found.source &&
    samePrintSetup(before.stance, found.stance) &&
    keys(before.findings) === keys(found.findings)
  )
    return;
  db.transaction((tx) => {
    tx.insert(tables.checks)
      .values({ jobId, ...found, at: new Date() })
      .run();
    recordDecision<CheckEntry>(tx, jobId, 'check', {
      code: 'layersRead',
      found: found.findings.length,
      couldLose: found.findings.filter(({ risk }) => risk === 'printLost').length,
    });
  });
}
