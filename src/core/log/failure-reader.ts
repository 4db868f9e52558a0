import type { Result } from '@/core/kit';
import {
  CAUSES,
  type Cause,
  chanceOfKind,
  chancesOf,
  EVIDENCE,
  EVIDENCE_GROUPS,
  type Evidence,
  type FailureKind,
} from './cause-tables';
import { type CauseTables, OUR_TABLES, type TestName, TESTS } from './test-tables';
import { type ByCause, type CauseIssue, type CostedTest, type Posterior, posteriorOf } from './posterior';

/** What is known of a failure. */
export interface FailureSeen {
  readonly kind: FailureKind;
  /** Yes or no; what nobody could tell is left out. */
  readonly evidence: Readonly<Partial<Record<Evidence, boolean>>>;
}

/** This many failures of others count as the workshop's own before it has any. */
const PRIOR_WEIGHT = 20;

/**
 * Returns the chances of causes before a failure is inspected: the usual ones, and the causes found in this workshop.
 */
export function priorOf(found: readonly Cause[] = [], usual: ByCause = OUR_TABLES.prior): ByCause {
  const total = CAUSES.reduce((sum, cause) => sum + usual[cause], 0);
  return Object.fromEntries(
    CAUSES.map((cause) => {
      const own = found.filter((each) => each === cause).length;
      return [cause, ((PRIOR_WEIGHT * usual[cause]) / total + own) / (PRIOR_WEIGHT + found.length)];
    }),
  );
}

/** The table with a line for the kind that was seen: of kinds exactly one is. */
function tableFor(kind: FailureKind, lines: CauseTables['evidence']): Record<string, ByCause> {
  return {
    ...Object.fromEntries(EVIDENCE.map((name) => [name, chancesOf(lines[name])])),
    [kindName(kind)]: chanceOfKind(kind),
  };
}

const kindName = (kind: FailureKind) => `kind ${kind}`;

/** Why it failed: the posterior of the causes by the tables, with what each piece of evidence brought. */
export function readFailure(
  { kind, evidence }: FailureSeen,
  prior: ByCause = priorOf(),
  lines = OUR_TABLES.evidence,
): Result<Posterior, CauseIssue> {
  const seen = Object.fromEntries(
    Object.entries(evidence).filter((entry): entry is [string, boolean] => entry[1] !== undefined),
  );
  return posteriorOf({
    prior,
    table: tableFor(kind, lines),
    evidence: { [kindName(kind)]: true, ...seen },
    groups: EVIDENCE_GROUPS as Readonly<Record<string, string>>,
  });
}

/** What a print of the part takes, and what an hour at the bench costs. */
export interface TestCosts {
  readonly printHours?: number;
  readonly printCost?: number;
  readonly workHour?: number;
}

/** Tests that print the part itself again. */
const PRINTS: ReadonlySet<TestName> = new Set(['turnPart', 'sameAgain', 'warmer']);

/** The tests as they are weighed: those that print the part again take its hours and cost it, the others take work. */
export function costedTests(
  { printHours, printCost = 0, workHour = 0 }: TestCosts = {},
  tests = OUR_TABLES.tests,
): CostedTest[] {
  return TESTS.map((name) => {
    const { outcomes, hours: usual, ...line } = tests[name];
    const yes = chancesOf(line);
    const no = Object.fromEntries(Object.entries(yes).map(([cause, p]) => [cause, 1 - p]));
    const isPrint = PRINTS.has(name);
    const hours = isPrint && printHours !== undefined ? printHours : usual;
    const cost = isPrint ? printCost : usual * workHour;
    return { name, table: { [outcomes[0]]: yes, [outcomes[1]]: no }, hours, cost };
  });
}
