import type { Result } from '@/core/result';
import {
  CAUSE_PRIOR,
  CAUSES,
  type Cause,
  chanceOfKind,
  chancesOf,
  EVIDENCE,
  EVIDENCE_GROUPS,
  EVIDENCE_TABLE,
  type Evidence,
  type FailureKind,
} from './cause-tables';
import { TEST_TABLE, type TestName, TESTS } from './test-tables';
import { type ByCause, type CauseIssue, type CostedTest, type Posterior, posteriorOf } from './posterior';

/** What is known of a failure. */
export interface FailureSeen {
  readonly kind: FailureKind;
  /** Yes or no; what nobody could tell is left out. */
  readonly evidence: Readonly<Partial<Record<Evidence, boolean>>>;
}

/** So many failures of others count as a bench's own before it has any. */
const PRIOR_WEIGHT = 20;

/** Chances of causes before a failure is looked at: the usual ones, and what turned out to be the cause on this bench. */
export function priorOf(found: readonly Cause[] = [], usual: ByCause = CAUSE_PRIOR): ByCause {
  const total = CAUSES.reduce((sum, cause) => sum + usual[cause], 0);
  return Object.fromEntries(
    CAUSES.map((cause) => {
      const own = found.filter((each) => each === cause).length;
      return [cause, ((PRIOR_WEIGHT * usual[cause]) / total + own) / (PRIOR_WEIGHT + found.length)];
    }),
  );
}

/** The table with a line for the kind that was seen: of kinds exactly one is. */
function tableFor(kind: FailureKind): Record<string, ByCause> {
  return {
    ...Object.fromEntries(EVIDENCE.map((name) => [name, chancesOf(EVIDENCE_TABLE[name])])),
    [kindName(kind)]: chanceOfKind(kind),
  };
}

const kindName = (kind: FailureKind) => `kind ${kind}`;

/** Why it failed: the posterior of the causes by the built-in tables, with what each piece of evidence brought. */
export function readFailure(
  { kind, evidence }: FailureSeen,
  prior: ByCause = priorOf(),
): Result<Posterior, CauseIssue> {
  const seen = Object.fromEntries(
    Object.entries(evidence).filter((entry): entry is [string, boolean] => entry[1] !== undefined),
  );
  return posteriorOf({
    prior,
    table: tableFor(kind),
    evidence: { [kindName(kind)]: true, ...seen },
    groups: EVIDENCE_GROUPS as Readonly<Record<string, string>>,
  });
}

/** The built-in tests, as they are weighed; `hours` of a print where a test prints the part itself again. */
export function builtInTests(printHours?: number): CostedTest[] {
  const prints: readonly TestName[] = ['turnPart', 'sameAgain', 'warmer'];
  return TESTS.map((name) => {
    const { outcomes, hours, ...line } = TEST_TABLE[name];
    const yes = chancesOf(line);
    const no = Object.fromEntries(Object.entries(yes).map(([cause, p]) => [cause, 1 - p]));
    const own = printHours !== undefined && prints.includes(name) ? printHours : hours;
    return { name, table: { [outcomes[0]]: yes, [outcomes[1]]: no }, hours: own, cost: 0 };
  });
}
