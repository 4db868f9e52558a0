import { logGamma, normalQuantile, regularisedBeta } from '@/core/kit/numerics';

/** k of n, what good ones are counted of. */
export interface Count {
  readonly k: number;
  readonly n: number;
}

export interface Interval {
  readonly low: number;
  readonly high: number;
}

/** The p-quantile of Beta(a, b), by bisection to 1e-10. */
function betaQuantile(p: number, a: number, b: number): number {
  let [low, high] = [0, 1];
  while (high - low > 1e-10) {
    const middle = (low + high) / 2;
    if (regularisedBeta(middle, a, b) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Jeffreys' 95 % interval of a rate; none of n ends at 0, all of n at 1. Source: L. D. Brown, T. T. Cai, A. DasGupta,
 * Statistical Science 16 (2001) 101. Example: 2 of 2 → 0.33 to 1.
 */
export function jeffreysInterval({ k, n }: Count): Interval {
  const [a, b] = [k + 0.5, n - k + 0.5];
  return {
    low: k === 0 ? 0 : betaQuantile(0.025, a, b),
    high: k === n ? 1 : betaQuantile(0.975, a, b),
  };
}

/** Wilson's 95 % interval of a rate; 0 to 1 without any. Source: E. B. Wilson, JASA 22 (1927) 209. */
export function wilsonInterval({ k, n }: Count): Interval {
  if (n === 0) return { low: 0, high: 1 };
  const z = normalQuantile(0.975);
  const [p, zz] = [k / n, (z * z) / n];
  const half = z * Math.sqrt((p * (1 - p)) / n + zz / (4 * n));
  const clip = (x: number) => Math.min(1, Math.max(0, x));
  return { low: clip((p + zz / 2 - half) / (1 + zz)), high: clip((p + zz / 2 + half) / (1 + zz)) };
}

/** A rate of one of several groups, drawn towards the others as far as few prints speak for it. */
export interface PooledRate extends Interval {
  readonly mean: number;
}

/** Nodes of the groups' mean and of how alike they are: the weight of the others, in prints. */
const MEANS = Array.from({ length: 49 }, (_, i) => (i + 0.5) / 49);
const WEIGHTS = Array.from({ length: 15 }, (_, i) => 2 ** (i / 2));
const RATE_NODES = 200;

function logBeta(a: number, b: number): number {
  return logGamma(a) + logGamma(b) - logGamma(a + b);
}

/**
 * Returns rates of several groups (printers, resins, orientations) by a beta-binomial model: each is drawn from
 * Beta(m·w, (1 − m)·w), m and w unknown on a grid (m by Jeffreys' prior, w even in ln from 1 to 128 prints). So two of
 * two is not 100 %.
 */
export function pooledRates(groups: readonly Count[]): PooledRate[] {
  const nodes = MEANS.flatMap((m) => WEIGHTS.map((w) => ({ a: m * w, b: (1 - m) * w, m })));
  const logs = nodes.map(({ a, b, m }) =>
    groups.reduce(
      (sum, { k, n }) => sum + logBeta(k + a, n - k + b) - logBeta(a, b),
      -0.5 * Math.log(m * (1 - m)),
    ),
  );
  const most = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - most));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const heavy = nodes.flatMap((node, i) =>
    weights[i] > 1e-4 * total ? [{ ...node, weight: weights[i] / total }] : [],
  );
  return groups.map(({ k, n }) => {
    const density = new Float64Array(RATE_NODES);
    for (const { a, b, weight } of heavy) {
      const [own, other] = [k + a, n - k + b];
      const scale = Math.log(weight) - logBeta(own, other);
      for (let i = 0; i < RATE_NODES; i++) {
        const p = (i + 0.5) / RATE_NODES;
        density[i] += Math.exp(scale + (own - 1) * Math.log(p) + (other - 1) * Math.log1p(-p));
      }
    }
    return summarise(density);
  });
}

function summarise(density: Float64Array): PooledRate {
  const total = density.reduce((sum, each) => sum + each, 0);
  const at = (i: number) => (i + 0.5) / density.length;
  const quantile = (p: number) => {
    let below = 0;
    for (let i = 0; i < density.length; i++) if ((below += density[i] / total) >= p) return at(i);
    return 1;
  };
  const mean = density.reduce((sum, each, i) => sum + each * at(i), 0) / total;
  return { mean, low: quantile(0.025), high: quantile(0.975) };
}

const DIFFERENCE_NODES = 2000;

/** Chance that the first rate is above the second, by Jeffreys' prior on both; to 1e-3. */
export function chanceAbove(first: Count, second: Count): number {
  let chance = 0;
  let before = 0;
  for (let i = 1; i <= DIFFERENCE_NODES; i++) {
    const p = i / DIFFERENCE_NODES;
    const below = regularisedBeta(p, first.k + 0.5, first.n - first.k + 0.5);
    const middle = p - 0.5 / DIFFERENCE_NODES;
    chance += (below - before) * regularisedBeta(middle, second.k + 0.5, second.n - second.k + 0.5);
    before = below;
  }
  return chance;
}

/**
 * Two rates are called different only where 95 % of their difference lies on one side; of the most different two of
 * several, as much more as there are pairs (Bonferroni), since some pair of many always looks different.
 */
export function areDifferent(first: Count, second: Count, pairs = 1): boolean {
  const above = chanceAbove(first, second);
  const doubt = 0.025 / pairs;
  return above > 1 - doubt || above < doubt;
}

/** Copies of one print, and how many of them failed. */
export interface PlateCount {
  readonly copies: number;
  readonly failed: number;
}

const SHARE_NODES = 40;
/** The usual value counts as this many lost pieces before this workshop has lost any. */
const SHARE_PRIOR = 4;

/** Plates alike in copies and failures, counted. */
function alike(plates: readonly PlateCount[]): readonly (PlateCount & { readonly times: number })[] {
  const counts = new Map<string, PlateCount & { times: number }>();
  for (const { copies, failed } of plates) {
    const key = `${copies} ${failed}`;
    const same = counts.get(key);
    if (same === undefined) counts.set(key, { copies, failed, times: 1 });
    else same.times++;
  }
  return [...counts.values()];
}

/**
 * Returns the share of failures that lose the whole plate: a print is lost with c·q, else each copy fails with (1 −
 * c)·q/(1 − c·q). Posterior mean and sd of c over a grid of q (Jeffreys) and c (a beta prior around the value in the
 * settings).
 */
export function learnCommonShare(
  plates: readonly PlateCount[],
  usual = 0.5,
): {
  readonly mean: number;
  readonly sd: number;
} {
  const told = alike(plates.filter(({ copies }) => copies > 1));
  const middle = Math.min(0.95, Math.max(0.05, usual));
  const [a, b] = [SHARE_PRIOR * middle, SHARE_PRIOR * (1 - middle)];
  let [total, sum, square] = [0, 0, 0];
  const logs: { log: number; c: number }[] = [];
  for (let i = 0; i < SHARE_NODES; i++)
    for (let j = 0; j < SHARE_NODES; j++) {
      const [q, c] = [(i + 0.5) / SHARE_NODES, (j + 0.5) / SHARE_NODES];
      const lost = c * q;
      const own = ((1 - c) * q) / (1 - lost);
      const log = told.reduce(
        (sofar, { copies, failed, times }) => {
          const each = (1 - lost) * own ** failed * (1 - own) ** (copies - failed);
          return sofar + times * Math.log(failed === copies ? lost + each : each);
        },
        -0.5 * Math.log(q * (1 - q)) + (a - 1) * Math.log(c) + (b - 1) * Math.log1p(-c),
      );
      logs.push({ log, c });
    }
  const most = Math.max(...logs.map(({ log }) => log));
  for (const { log, c } of logs) {
    const weight = Math.exp(log - most);
    total += weight;
    sum += weight * c;
    square += weight * c * c;
  }
  const mean = sum / total;
  return { mean, sd: Math.sqrt(Math.max(0, square / total - mean * mean)) };
}

/**
 * Copies that came out whole, counted as if each stood alone: n copies of one plate tell as much as n/(1 + (n − 1)·c) of
 * their own, where a share c fails together. Source: L. Kish, Survey Sampling (1965), the design effect.
 * Example: eight copies, half of the failures common → 1.8.
 */
export function countCopies(plates: readonly PlateCount[], commonShare: number): Count {
  let [k, n] = [0, 0];
  for (const { copies, failed } of plates) {
    if (copies <= 0) continue;
    const worth = copies / (1 + (copies - 1) * commonShare);
    n += worth;
    k += (worth * (copies - failed)) / copies;
  }
  return { k, n };
}

/** The usual rate before a workshop has a log: one more printer with this many copies, all but two of them whole. */
const USUAL_COPIES: Count = { k: 18, n: 20 };

/** Chance that one copy comes out whole, for each of several printers, each drawn towards the others and towards the usual. */
export function chanceOfCopy(printers: readonly Count[]): PooledRate[] {
  return pooledRates([USUAL_COPIES, ...printers]).slice(1);
}
