import { fail, ok, type Result } from '@/core/kit';

/** A chance for each cause, by name. */
export type ByCause = Readonly<Record<string, number>>;
/** Chance of each piece of evidence under each cause. */
export type CauseTable = Readonly<Record<string, ByCause>>;
/** Chance of each outcome of a test under each cause; over the outcomes they sum to one. */
export type TestTable = Readonly<Record<string, ByCause>>;

export interface CauseAsk {
  readonly prior: ByCause;
  readonly table: CauseTable;
  /** Evidence that was seen, and evidence that was looked for and not seen; the rest is left out. */
  readonly evidence: Readonly<Record<string, boolean>>;
  /** Evidence of one group says the same thing: only the most telling one of it counts. */
  readonly groups?: Readonly<Record<string, string>>;
}

export type CauseIssue =
  | { readonly code: 'noCause' }
  | { readonly code: 'badPrior'; readonly cause: string }
  | { readonly code: 'badChance'; readonly evidence: string; readonly cause: string }
  | { readonly code: 'unknownEvidence'; readonly evidence: string }
  | { readonly code: 'impossible' };

/** What one piece of evidence brings. */
export interface Reason {
  readonly evidence: string;
  readonly seen: boolean;
  /** By how much it changes the odds of each cause, ln; 0 on average over the prior. */
  readonly ln: ByCause;
}

export interface Posterior {
  readonly chances: ByCause;
  /** What counted, the most telling first. */
  readonly reasons: readonly Reason[];
}

function findCauseIssue({ prior, table, evidence }: CauseAsk): CauseIssue | undefined {
  const causes = Object.keys(prior);
  if (causes.length === 0) return { code: 'noCause' };
  const bad = causes.find((cause) => !(prior[cause] >= 0 && Number.isFinite(prior[cause])));
  if (bad !== undefined) return { code: 'badPrior', cause: bad };
  for (const name of Object.keys(evidence)) {
    if (!Object.hasOwn(table, name)) return { code: 'unknownEvidence', evidence: name };
    const cause = causes.find((each) => !(table[name][each] >= 0 && table[name][each] <= 1));
    if (cause !== undefined) return { code: 'badChance', evidence: name, cause };
  }
  return undefined;
}

function normalised(weights: ByCause): ByCause | undefined {
  const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
  if (!(total > 0)) return undefined;
  return Object.fromEntries(Object.entries(weights).map(([cause, weight]) => [cause, weight / total]));
}

/** Factor of one piece of evidence on each cause, relative to its mean over the prior; a zero counts as one. */
function reasonOf({ prior, table }: CauseAsk, evidence: string, seen: boolean): Reason {
  const chances = Object.keys(prior).map((cause) => {
    const chance = table[evidence][cause];
    return [cause, Math.log(seen ? chance : 1 - chance)] as const;
  });
  const finite = chances.filter(([, ln]) => Number.isFinite(ln));
  const weight = finite.reduce((sum, [cause]) => sum + prior[cause], 0);
  const mean = weight === 0 ? 0 : finite.reduce((sum, [cause, ln]) => sum + prior[cause] * ln, 0) / weight;
  return { evidence, seen, ln: Object.fromEntries(chances.map(([cause, ln]) => [cause, ln - mean])) };
}

/** How much a reason tells causes apart: its mean square over the prior. */
function tellingOf(prior: ByCause, { ln }: Reason): number {
  return Object.entries(ln).reduce(
    (sum, [cause, each]) => sum + prior[cause] * Math.min(100, each * each),
    0,
  );
}

/**
 * Posterior of the causes by naive Bayes: P(cause) ∝ prior × Π P(evidence | cause), 1 − P where it was not seen; of each
 * group only the most telling evidence counts. Example: prior 0.5/0.5, chances 0.8 and 0.2, seen → 0.8.
 */
export function posteriorOf(ask: CauseAsk): Result<Posterior, CauseIssue> {
  const issue = findCauseIssue(ask);
  if (issue !== undefined) return fail(issue);
  const { evidence, groups = {} } = ask;
  const prior = normalised(ask.prior);
  if (prior === undefined) return fail({ code: 'impossible' });
  const all = Object.entries(evidence)
    .map(([name, seen]) => reasonOf({ ...ask, prior }, name, seen))
    .sort((a, b) => tellingOf(prior, b) - tellingOf(prior, a));
  const taken = new Set<string>();
  const reasons = all.filter(({ evidence: name }) => {
    const group = groups[name] ?? name;
    return !taken.has(group) && taken.add(group);
  });
  const chances = normalised(
    Object.fromEntries(
      Object.keys(prior).map((cause) => [
        cause,
        reasons.reduce((weight, { ln }) => weight * Math.exp(ln[cause]), prior[cause]),
      ]),
    ),
  );
  return chances === undefined ? fail({ code: 'impossible' }) : ok({ chances, reasons });
}

/** Entropy of chances, bits. */
export function entropyOf(chances: ByCause): number {
  return Object.values(chances).reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);
}

/** An outcome with its chance, and what would be known then. */
interface Foreseen {
  readonly outcome: string;
  readonly chance: number;
  readonly chances: ByCause;
}

/** What each outcome of a test would leave. */
export function foreseeTest(chances: ByCause, test: TestTable): Foreseen[] {
  return Object.entries(test).flatMap(([outcome, under]) => {
    const weights = Object.fromEntries(
      Object.entries(chances).map(([cause, p]) => [cause, p * (under[cause] ?? 0)]),
    );
    const chance = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
    const after = normalised(weights);
    return after === undefined ? [] : [{ outcome, chance, chances: after }];
  });
}

/** Expected fall of entropy by a test, bits. Source: D. V. Lindley, Ann. Math. Stat. 27 (1956) 986. */
export function bitsOf(chances: ByCause, test: TestTable): number {
  return foreseeTest(chances, test).reduce(
    (left, { chance, chances: after }) => left - chance * entropyOf(after),
    entropyOf(chances),
  );
}

/** The posterior once an outcome was seen; undefined where no cause allows it. */
export function afterTest(chances: ByCause, test: TestTable, outcome: string): ByCause | undefined {
  return foreseeTest(chances, test).find((each) => each.outcome === outcome)?.chances;
}

/** A test with what it takes. */
export interface CostedTest {
  readonly name: string;
  readonly table: TestTable;
  readonly hours: number;
  readonly cost: number;
}

export interface TestWorth {
  readonly name: string;
  readonly bits: number;
  readonly bitsPerHour: number;
  /** What it saves on average of the next print, its own cost taken off. */
  readonly saves: number;
}

const LEAST_HOURS = 0.05;

/**
 * What each test would tell: by bits an hour, or by what it saves where the next print is dear, which is `nextCost` times
 * the gain in the chance of the likeliest cause. The best first.
 */
export function rankTests(chances: ByCause, tests: readonly CostedTest[], nextCost?: number): TestWorth[] {
  const best = (of: ByCause) => Math.max(...Object.values(of));
  const worths = tests.map(({ name, table, hours, cost }): TestWorth => {
    const bits = bitsOf(chances, table);
    const later = foreseeTest(chances, table).reduce(
      (sum, each) => sum + each.chance * best(each.chances),
      0,
    );
    return {
      name,
      bits,
      bitsPerHour: bits / Math.max(LEAST_HOURS, hours),
      saves: (nextCost ?? 0) * (later - best(chances)) - cost,
    };
  });
  const isDear = nextCost !== undefined && worths.some(({ saves }) => saves > 0);
  return worths.sort((a, b) => (isDear ? b.saves - a.saves : b.bitsPerHour - a.bitsPerHour));
}

/** A cause is named above this chance; below, there is not enough data. */
export const NAMED_FROM = 0.5;

/** Returns the cause to name; undefined if there is not enough data. */
export function namedCause(chances: ByCause): string | undefined {
  return Object.entries(chances).find(([, p]) => p > NAMED_FROM)?.[0];
}
