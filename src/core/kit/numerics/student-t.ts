import { normalQuantile } from './normal';

/** Lanczos coefficients, g = 7, n = 9: relative error of Γ below 1e-15. */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/** ln Γ(x) for x > 0. */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const shifted = x - 1;
  let sum = LANCZOS[0];
  for (let i = 1; i < LANCZOS.length; i++) sum += LANCZOS[i] / (shifted + i);
  const t = shifted + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** Continued fraction of the incomplete beta function by Lentz's method. Source: DLMF 8.17.22. */
function betaFraction(x: number, a: number, b: number): number {
  const tiny = 1e-300;
  let c = 1;
  let d = 1 / (1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m <= 10000; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / guard(1 + even * d, tiny);
    c = guard(1 + even / c, tiny);
    fraction *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / guard(1 + odd * d, tiny);
    c = guard(1 + odd / c, tiny);
    const change = d * c;
    fraction *= change;
    if (Math.abs(change - 1) < 1e-16) break;
  }
  return fraction;
}

function guard(value: number, tiny: number): number {
  return Math.abs(value) < tiny ? tiny : value;
}

/** Regularised incomplete beta function I_x(a, b); absolute error below 1e-14. */
export function regularisedBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  if (x < (a + 1) / (a + b + 2)) return (front * betaFraction(x, a, b)) / a;
  return 1 - (front * betaFraction(1 - x, b, a)) / b;
}

/** P(T > t) for t ≥ 0 and ν degrees of freedom, fractional ν allowed. */
function upperTail(t: number, nu: number): number {
  return 0.5 * regularisedBeta(nu / (nu + t * t), nu / 2, 0.5);
}

function density(t: number, nu: number): number {
  const front = logGamma((nu + 1) / 2) - logGamma(nu / 2) - 0.5 * Math.log(nu * Math.PI);
  return Math.exp(front - ((nu + 1) / 2) * Math.log1p((t * t) / nu));
}

/** Beyond this the tail integral loses digits to its gamma functions, and the expansion has none to lose. */
const MANY = 2000;

/** Expansion of the quantile in 1/ν. Source: M. Abramowitz and I. Stegun (1964) 26.7.5. */
function expandAroundNormal(z: number, nu: number): number {
  const z2 = z * z;
  const first = (z2 + 1) / 4;
  const second = ((5 * z2 + 16) * z2 + 3) / 96;
  const third = (((3 * z2 + 19) * z2 + 17) * z2 - 15) / 384;
  const fourth = ((((79 * z2 + 776) * z2 + 1482) * z2 - 1920) * z2 - 945) / 92160;
  return z * (1 + (first + (second + (third + fourth / nu) / nu) / nu) / nu);
}

/**
 * Returns the quantile of Student's t distribution: the t with P(T ≤ t) = p. `nu` degrees of freedom, any real ≥ 0.5 or
 * Infinity; relative error ≤ 1e-9 for 1e-6 ≤ p ≤ 1 − 1e-6. Newton's steps on the tail, kept inside a bracket. Throws
 * RangeError for p outside (0, 1) or nu below 0.5. Source: JCGM 100:2008 G.3. Example: studentTQuantile(0.975, 5) →
 * 2.57058183661474
 */
export function studentTQuantile(p: number, nu: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError('studentTQuantile: p must lie between 0 and 1');
  if (!(nu >= 0.5)) throw new RangeError('studentTQuantile: nu must be at least 0.5');
  if (p === 0.5) return 0;
  if (p < 0.5) return -studentTQuantile(1 - p, nu);
  if (nu > MANY) return expandAroundNormal(normalQuantile(p), nu);
  const tail = 1 - p;
  let low = 0;
  let high = Math.max(1, normalQuantile(p));
  while (upperTail(high, nu) > tail) high *= 2;
  let t = normalQuantile(p);
  for (let i = 0; i < 200; i++) {
    const excess = upperTail(t, nu) - tail;
    if (excess > 0) low = t;
    else high = t;
    const newton = t + excess / density(t, nu);
    const next = newton > low && newton < high ? newton : (low + high) / 2;
    if (Math.abs(next - t) <= 1e-14 * Math.abs(next)) return next;
    t = next;
  }
  return t;
}
