/** So many start that enough are good with this chance. */
const WANTED = 0.95;
const MOST = 10_000;

/** P(at least `good` of n) over a sum of terms computed from the one before. */
function smallest(good: number, atLeast: (n: number) => number): number | undefined {
  for (let n = good; n <= MOST; n++) if (atLeast(n) >= WANTED) return n;
  return undefined;
}

/**
 * Copies to start so that `good` are good with 95 %, each good by itself with chance p; undefined where ten thousand are
 * not enough. Example: 4 wanted, p = 0.8 → 7.
 */
export function copiesToStart(good: number, p: number): number | undefined {
  if (good <= 0) return 0;
  if (!(p > 0)) return undefined;
  if (p >= 1) return good;
  return smallest(good, (n) => {
    // Terms from k = n down, in logarithms: p^n, then times k·q/((n − k + 1)·p).
    let ln = n * Math.log(p);
    let sum = Math.exp(ln);
    for (let k = n; k > good; k--) {
      ln += Math.log((k * (1 - p)) / ((n - k + 1) * p));
      sum += Math.exp(ln);
    }
    return sum;
  });
}

/** The same from a log of good and bad ones: BetaBinomial(n; good + ½, bad + ½). Source: Jeffreys' prior. */
export function copiesFromLog(good: number, log: { readonly good: number; readonly bad: number }) {
  if (good <= 0) return 0;
  const [a, b] = [log.good + 0.5, log.bad + 0.5];
  return smallest(good, (n) => {
    // P(k = n) = Π (a + i)/(a + b + i); each term below it by k·(b + n − k)/((n − k + 1)·(a + k − 1)).
    let ln = 0;
    for (let i = 0; i < n; i++) ln += Math.log((a + i) / (a + b + i));
    let sum = Math.exp(ln);
    for (let k = n; k > good; k--) {
      ln += Math.log((k * (b + n - k)) / ((n - k + 1) * (a + k - 1)));
      sum += Math.exp(ln);
    }
    return sum;
  });
}

/**
 * Chance that at least `good` of the copies on one plate are good, where a share of the failures loses the whole print:
 * with failure q of a copy and common share c, the print is lost with c·q, else each copy fails with (1 − c)·q/(1 − c·q).
 */
export function chanceOfPlate(
  { copies, good, p }: { readonly copies: number; readonly good: number; readonly p: number },
  commonShare = 0.5,
): number {
  const q = 1 - p;
  const lost = commonShare * q;
  if (lost >= 1) return good <= 0 ? 1 : 0;
  const own = 1 - ((1 - commonShare) * q) / (1 - lost);
  const shares = binomialShares(copies, own);
  const atLeast = shares.slice(Math.max(0, good)).reduce((sum, share) => sum + share, 0);
  return (good <= 0 ? lost : 0) + (1 - lost) * atLeast;
}

/** Binomial probabilities of 0 … n, each from the one before; in logarithms, so that none is lost for many copies. */
export function binomialShares(n: number, p: number): number[] {
  if (p <= 0) return [1, ...new Array<number>(n).fill(0)];
  if (p >= 1) return [...new Array<number>(n).fill(0), 1];
  let ln = n * Math.log1p(-p);
  const odds = Math.log(p) - Math.log1p(-p);
  const shares = [Math.exp(ln)];
  for (let k = 1; k <= n; k++) {
    ln += Math.log((n - k + 1) / k) + odds;
    shares.push(Math.exp(ln));
  }
  return shares;
}
