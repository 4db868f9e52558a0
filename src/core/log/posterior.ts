import { fail, keysOf, mapRecord, ok, type Result } from '@/core/kit';

/** A chance for each cause. */
export type ByCause<Cause extends string = string> = Readonly<Record<Cause, number>>;
/** Chance of each outcome of a test under each cause; over the outcomes they sum to one. */
export type TestTable<Cause extends string = string> = Readonly<Record<string, ByCause<Cause>>>;

export interface CauseAsk<Cause extends string = string, Evidence extends string = string> {
  readonly prior: ByCause<Cause>;
  /** Chance of each piece of evidence under each cause. */
  readonly table: Readonly<Record<Evidence, ByCause<Cause>>>;
  /** Evidence that was seen, and evidence that was looked for and not seen; the rest is left out. */
  readonly evidence: Readonly<Partial<Record<Evidence, boolean>>>;
  /** Evidence of one group says the same thing: only the most telling one of it counts. */
  readonly groups?: Readonly<Partial<Record<Evidence, string>>>;
}

export type CauseIssue =
  | { readonly code: 'noCause' }
  | { readonly code: 'badPrior'; readonly cause: string }
  | { readonly code: 'badChance'; readonly evidence: string; readonly cause: string }
  | { readonly code: 'unknownEvidence'; readonly evidence: string }
  | { readonly code: 'impossible' };

/** What one piece of evidence brings. */
export interface Reason<Cause extends string = string, Evidence extends string = string> {
  readonly evidence: Evidence;
  readonly seen: boolean;
  /** By how much it changes the odds of each cause, ln; 0 on average over the prior. */
  readonly ln: ByCause<Cause>;
}

export interface Posterior<Cause extends string = string, Evidence extends string = string> {
  readonly chances: ByCause<Cause>;
  /** What counted, the most telling first. */
  readonly reasons: readonly Reason<Cause, Evidence>[];
}

/** Evidence that was seen or looked for; the rest is left out. */
function saidOf<Evidence extends string>(
  evidence: Readonly<Partial<Record<Evidence, boolean>>>,
): readonly (readonly [Evidence, boolean])[] {
  return keysOf(evidence as Readonly<Record<Evidence, boolean | undefined>>).flatMap((name) => {
    const seen = evidence[name];
    return seen === undefined ? [] : [[name, seen] as const];
  });
}

function findCauseIssue<Cause extends string, Evidence extends string>({
  prior,
  table,
  evidence,
}: CauseAsk<Cause, Evidence>): CauseIssue | undefined {
  const causes = keysOf(prior);
  if (causes.length === 0) return { code: 'noCause' };
  const bad = causes.find((cause) => !(prior[cause] >= 0 && Number.isFinite(prior[cause])));
  if (bad !== undefined) return { code: 'badPrior', cause: bad };
  for (const [name] of saidOf(evidence)) {
    if (!Object.hasOwn(table, name)) return { code: 'unknownEvidence', evidence: name };
    const cause = causes.find((each) => !(table[name][each] >= 0 && table[name][each] <= 1));
    if (cause !== undefined) return { code: 'badChance', evidence: name, cause };
  }
  return undefined;
}

const sumOf = (weights: ByCause): number => Object.values(weights).reduce((sum, weight) => sum + weight, 0);

function normalised<Cause extends string>(weights: ByCause<Cause>): ByCause<Cause> | undefined {
  const total = sumOf(weights);
  return total > 0 ? mapRecord(weights, (weight) => weight / total) : undefined;
}

/** Factor of one piece of evidence on each cause, relative to its mean over the prior; a zero counts as one. */
function reasonOf<Cause extends string, Evidence extends string>(
  { prior, table }: CauseAsk<Cause, Evidence>,
  evidence: Evidence,
  seen: boolean,
): Reason<Cause, Evidence> {
  const ln = mapRecord(table[evidence], (chance) => Math.log(seen ? chance : 1 - chance));
  const finite = keysOf(prior).filter((cause) => Number.isFinite(ln[cause]));
  const weight = finite.reduce((sum, cause) => sum + prior[cause], 0);
  const mean = weight === 0 ? 0 : finite.reduce((sum, cause) => sum + prior[cause] * ln[cause], 0) / weight;
  return { evidence, seen, ln: mapRecord(prior, (_, cause) => ln[cause] - mean) };
}

/** How much a reason tells causes apart: its mean square over the prior. */
function tellingOf<Cause extends string>(prior: ByCause<Cause>, ln: ByCause<Cause>): number {
  return keysOf(prior).reduce((sum, cause) => sum + prior[cause] * Math.min(100, ln[cause] ** 2), 0);
}

/**
 * Posterior of the causes by naive Bayes: P(cause) ∝ prior × Π P(evidence | cause), 1 − P where it was not seen; of each
 * group only the most telling evidence counts. Example: prior 0.5/0.5, chances 0.8 and 0.2, seen → 0.8.
 */
export function posteriorOf<Cause extends string, Evidence extends string>(
  ask: CauseAsk<Cause, Evidence>,
): Result<Posterior<Cause, Evidence>, CauseIssue> {
  const issue = findCauseIssue(ask);
  if (issue !== undefined) return fail(issue);
  const { evidence, groups = {} as Readonly<Partial<Record<Evidence, string>>> } = ask;
  const prior = normalised(ask.prior);
  if (prior === undefined) return fail({ code: 'impossible' });
  const all = saidOf(evidence)
    .map(([name, seen]) => reasonOf({ ...ask, prior }, name, seen))
    .sort((a, b) => tellingOf(prior, b.ln) - tellingOf(prior, a.ln));
  const taken = new Set<string>();
  const reasons = all.filter(({ evidence: name }) => {
    const group = groups[name] ?? name;
    return !taken.has(group) && taken.add(group);
  });
  const chances = normalised(
    mapRecord(prior, (share, cause) =>
      reasons.reduce((weight, { ln }) => weight * Math.exp(ln[cause]), share),
    ),
  );
  return chances === undefined ? fail({ code: 'impossible' }) : ok({ chances, reasons });
}

/** Entropy of chances, bits. */
export function entropyOf(chances: ByCause): number {
  return Object.values(chances).reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);
}

/** An outcome with its chance, and what would be known then. */
interface Foreseen<Cause extends string> {
  readonly outcome: string;
  readonly chance: number;
  readonly chances: ByCause<Cause>;
}

/** What each outcome of a test would leave. */
export function foreseeTest<Cause extends string>(
  chances: ByCause<Cause>,
  test: TestTable<Cause>,
): Foreseen<Cause>[] {
  return Object.entries(test).flatMap(([outcome, under]) => {
    const weights = mapRecord(chances, (p, cause) => p * (under[cause] ?? 0));
    const after = normalised(weights);
    return after === undefined ? [] : [{ outcome, chance: sumOf(weights), chances: after }];
  });
}

/** Expected fall of entropy by a test, bits. Source: D. V. Lindley, Ann. Math. Stat. 27 (1956) 986. */
export function bitsOf<Cause extends string>(chances: ByCause<Cause>, test: TestTable<Cause>): number {
  return foreseeTest(chances, test).reduce(
    (left, { chance, chances: after }) => left - chance * entropyOf(after),
    entropyOf(chances),
  );
}

/** The posterior once an outcome was seen; undefined where no cause allows it. */
export function afterTest<Cause extends string>(
  chances: ByCause<Cause>,
  test: TestTable<Cause>,
  outcome: string,
): ByCause<Cause> | undefined {
  return foreseeTest(chances, test).find((each) => each.outcome === outcome)?.chances;
}

/** A test with what it takes. */
export interface CostedTest<Cause extends string = string, Name extends string = string> {
  readonly name: Name;
  readonly table: TestTable<Cause>;
  readonly hours: number;
  readonly cost: number;
}

export interface TestWorth<Name extends string = string> {
  readonly name: Name;
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
export function rankTests<Cause extends string, Name extends string>(
  chances: ByCause<Cause>,
  tests: readonly CostedTest<Cause, Name>[],
  nextCost?: number,
): TestWorth<Name>[] {
  const best = (of: ByCause) => Math.max(...Object.values(of));
  const worths = tests.map(({ name, table, hours, cost }): TestWorth<Name> => {
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
export function namedCause<Cause extends string>(chances: ByCause<Cause>): Cause | undefined {
  return keysOf(chances).find((cause) => chances[cause] > NAMED_FROM);
}
