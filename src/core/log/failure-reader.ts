import { mapRecord, recordOf, type Result } from '@/core/kit';
import { CAUSES, type Cause, chanceOfKind, chancesOf } from './causes';
import { EVIDENCE, type Evidence, evidenceLine } from './evidence-table';
import { FAILURE_WORDS, type FailureKind } from './failure-kinds';
import { type CauseTables, OUR_TABLES, type TestName, TESTS } from './test-tables';
import { type ByCause, type CauseIssue, type CostedTest, type Posterior, posteriorOf } from './posterior';

/** Everything that counts for or against a cause: the kind that was seen, and the other evidence. */
export type SeenEvidence = 'kind' | Evidence;

/** One piece of evidence about a failure of that kind as a clause. */
export function describeEvidence(evidence: SeenEvidence, seen: boolean, kind: FailureKind): string {
  return evidence === 'kind' ? FAILURE_WORDS[kind] : evidenceLine(evidence)[seen ? 'yes' : 'no'];
}

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
export function priorOf(found: readonly Cause[] = [], usual = OUR_TABLES.prior): ByCause<Cause> {
  const total = CAUSES.reduce((sum, cause) => sum + usual[cause], 0);
  return recordOf(CAUSES, (cause) => {
    const own = found.filter((each) => each === cause).length;
    return ((PRIOR_WEIGHT * usual[cause]) / total + own) / (PRIOR_WEIGHT + found.length);
  });
}

/** The table with a line for the kind that was seen: of kinds exactly one is. */
function tableFor(kind: FailureKind, lines: CauseTables['evidence']): Record<SeenEvidence, ByCause<Cause>> {
  return { ...mapRecord(lines, chancesOf), kind: chanceOfKind(kind) };
}

const GROUPS: Readonly<Partial<Record<SeenEvidence, string>>> = Object.freeze(
  recordOf(EVIDENCE, (each) => evidenceLine(each).group ?? each),
);

/** Why it failed: the posterior of the causes by the tables, with what each piece of evidence brought. */
export function readFailure(
  { kind, evidence }: FailureSeen,
  prior: ByCause = priorOf(),
  lines = OUR_TABLES.evidence,
): Result<Posterior<Cause, SeenEvidence>, CauseIssue> {
  return posteriorOf<Cause, SeenEvidence>({
    prior,
    table: tableFor(kind, lines),
    evidence: { kind: true, ...evidence },
    groups: GROUPS,
  });
}

/** What a print of the part takes, and what an hour at the bench costs. */
export interface TestCosts {
  readonly printHours?: number;
  readonly printCost?: number;
  readonly workHour?: number;
}

/** The tests as they are weighed: those that print the part again take its hours and cost it, the others take work. */
export function costedTests(
  { printHours, printCost = 0, workHour = 0 }: TestCosts = {},
  tests = OUR_TABLES.tests,
): CostedTest<Cause, TestName>[] {
  return TESTS.map((name) => {
    const { outcomes, hours: usual, printsAgain, ...line } = tests[name];
    const yes = chancesOf(line);
    const no = mapRecord(yes, (p) => 1 - p);
    const hours = printsAgain && printHours !== undefined ? printHours : usual;
    const cost = printsAgain ? printCost : usual * workHour;
    return { name, table: { [outcomes[0].name]: yes, [outcomes[1].name]: no }, hours, cost };
  });
}
