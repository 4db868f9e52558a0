import { evidenceOf, findChanges, type Ranked, type Requirement, type ResinFile } from '@/core/resins';
import { describeChange } from '@/subjects/choice/shared';
import type { ResinReasons } from './resin-row';

/** The reasons of one ranked resin, changes in words and each once. */
export function reasonsOf(ranked: Ranked, file: ResinFile, requirement: Requirement): ResinReasons {
  const evidence = evidenceOf(file);
  const changes = ranked.checks.flatMap((check) => findChanges(check, evidence, requirement));
  return {
    checks: ranked.checks,
    merits: ranked.merits,
    changes: [...new Set(changes.map(describeChange))],
  };
}
