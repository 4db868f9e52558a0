import {
  type Change,
  evidenceOf,
  findChanges,
  type Ranked,
  type Requirement,
  type ResinFile,
} from '@/core/resin';
import { type Db, queries } from '@/store';
import { resinFile } from '@/subjects/resin/shelf';
import { viewChoice } from './view-choice';

/** Each margin of a resin, what its score is made of, and what would have to change. */
export interface ResinReasons extends Pick<Ranked, 'checks' | 'merits'> {
  readonly changes: readonly Change[];
}

/** The reasons of one ranked resin. */
export function reasonsOf(ranked: Ranked, file: ResinFile, requirement: Requirement): ResinReasons {
  const evidence = evidenceOf(file);
  const { checks, merits } = ranked;
  return { checks, merits, changes: checks.flatMap((check) => findChanges(check, evidence, requirement)) };
}

/** Why a resin stands where it does for a job; undefined where one of them is gone. */
export function explainChoice(db: Db, jobId: number, resinId: number): ResinReasons | undefined {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return undefined;
  const { shelf, ranked, requirement } = viewChoice(db, job);
  const shelved = shelf.find(({ resin }) => resin.id === resinId);
  const found = ranked.find(({ resin }) => resin === shelved?.resin.name);
  return shelved === undefined || found === undefined
    ? undefined
    : reasonsOf(found, resinFile(shelved), requirement);
}
