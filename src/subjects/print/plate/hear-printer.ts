import { eq } from 'drizzle-orm';
import { type Db, queries, tables } from '@/store';
import { askSimulated, type PrinterReport } from '@/subjects/simulated';
import { endRun } from './end-run';

/** What was heard of a run: the printer's word, or that it said nothing, or that it has none to say. */
export type Heard =
  | { readonly code: 'report'; readonly report: PrinterReport }
  | { readonly code: 'silent'; readonly lastAt?: Date }
  | { readonly code: 'noVoice' };

/** Asks the printer of a run where it is, and keeps it; a print that it calls done is ended at the time it says. */
export function hearPrinter(db: Db, runId: number, now = new Date()): Heard {
  const run = queries.findRun(db, runId);
  const printer = run && queries.findProfile(db, run.profileId)?.printer;
  if (run === undefined || printer === undefined || printer.simulatedSeed === null)
    return { code: 'noVoice' };
  if (run.startedAt === null || run.endedAt !== null) return { code: 'noVoice' };
  const report = askSimulated(db, printer.id, now);
  if (report === undefined) return { code: 'silent', lastAt: run.heardAt ?? undefined };
  if (report.file !== `run ${runId}`) return { code: 'noVoice' };
  db.update(tables.runs)
    .set({ heardAt: now, heardLayer: report.layer })
    .where(eq(tables.runs.id, runId))
    .run();
  if (report.state === 'done') {
    const speed = run.plan?.speed ?? 1;
    const endedAt = new Date(run.startedAt.getTime() + (1000 * report.elapsed_s) / speed);
    endRun(db, runId, { outcome: 'done', endedAt, isSeen: true, reason: '', isUsable: true }, now);
  }
  return { code: 'report', report };
}
