/** Rational approximations of erf and erfc on three ranges. Source: W. J. Cody, Math. Comp. 23 (1969) 631. */
const SMALL_P = [
  3.1611237438705656, 1.13864154151050156e2, 3.77485237685302021e2, 3.20937758913846947e3,
  1.85777706184603153e-1,
];
const SMALL_Q = [2.36012909523441209e1, 2.44024637934444173e2, 1.28261652607737228e3, 2.84423683343917062e3];
const MIDDLE_P = [
  5.64188496988670089e-1, 8.88314979438837594, 6.61191906371416295e1, 2.98635138197400131e2,
  8.8195222124176909e2, 1.71204761263407058e3, 2.05107837782607147e3, 1.23033935479799725e3,
  2.15311535474403846e-8,
];
const MIDDLE_Q = [
  1.57449261107098347e1, 1.17693950891312499e2, 5.37181101862009858e2, 1.62138957456669019e3,
  3.29079923573345963e3, 4.36261909014324716e3, 3.43936767414372164e3, 1.23033935480374942e3,
];
const LARGE_P = [
  3.05326634961232344e-1, 3.60344899949804439e-1, 1.25781726111229246e-1, 1.60837851487422766e-2,
  6.58749161529837803e-4, 1.63153871373020978e-2,
];
const LARGE_Q = [
  2.56852019228982242, 1.87295284992346725, 5.27905102951428412e-1, 6.05183413124413191e-2,
  2.33520497626869185e-3,
];

function erfSmall(x: number): number {
  const y = x * x;
  let top = SMALL_P[4] * y;
  let bottom = y;
  for (let i = 0; i < 3; i++) {
    top = (top + SMALL_P[i]) * y;
    bottom = (bottom + SMALL_Q[i]) * y;
  }
  return (x * (top + SMALL_P[3])) / (bottom + SMALL_Q[3]);
}

/** exp(−x²) split so that the square of the rounded part is exact. */
function expMinusSquare(x: number): number {
  const rounded = Math.trunc(x * 16) / 16;
  return Math.exp(-rounded * rounded) * Math.exp(-(x - rounded) * (x + rounded));
}

function erfcPositive(x: number): number {
  if (x <= 4) {
    let top = MIDDLE_P[8] * x;
    let bottom = x;
    for (let i = 0; i < 7; i++) {
      top = (top + MIDDLE_P[i]) * x;
      bottom = (bottom + MIDDLE_Q[i]) * x;
    }
    return (expMinusSquare(x) * (top + MIDDLE_P[7])) / (bottom + MIDDLE_Q[7]);
  }
  const y = 1 / (x * x);
  let top = LARGE_P[5] * y;
  let bottom = y;
  for (let i = 0; i < 4; i++) {
    top = (top + LARGE_P[i]) * y;
    bottom = (bottom + LARGE_Q[i]) * y;
  }
  const tail = (y * (top + LARGE_P[4])) / (bottom + LARGE_Q[4]);
  return (expMinusSquare(x) * (1 / Math.sqrt(Math.PI) - tail)) / x;
}

function erfc(x: number): number {
  const size = Math.abs(x);
  if (size <= 0.46875) return 1 - erfSmall(x);
  const tail = erfcPositive(size);
  return x < 0 ? 2 - tail : tail;
}

/** Density of the standard normal distribution. */
export function normalDensity(z: number): number {
  return Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
}

/** Returns P(Z ≤ z) for a standard normal Z; relative error below 1e-14, in the lower tail too. */
export function normalCdf(z: number): number {
  return 0.5 * erfc(-z / Math.SQRT2);
}

const CENTRAL_A = [
  -3.969683028665376e1, 2.209460984245205e2, -2.759285104469687e2, 1.38357751867269e2, -3.066479806614716e1,
  2.506628277459239,
];
const CENTRAL_B = [
  -5.447609879822406e1, 1.615858368580409e2, -1.556989798598866e2, 6.680131188771972e1, -1.328068155288572e1,
];
const TAIL_C = [
  -7.784894002430293e-3, -3.223964580411365e-1, -2.400758277161838, -2.549732539343734, 4.374664141464968,
  2.938163982698783,
];
const TAIL_D = [7.784695709041462e-3, 3.224671290700398e-1, 2.445134137142996, 3.754408661907416];

function polynomial(coefficients: readonly number[], x: number): number {
  let sum = 0;
  for (const coefficient of coefficients) sum = sum * x + coefficient;
  return sum;
}

/** Start value good to 1.2e-9. Source: P. J. Acklam's rational approximation (2003). */
function quantileStart(p: number): number {
  if (p < 0.02425) {
    const q = Math.sqrt(-2 * Math.log(p));
    return polynomial(TAIL_C, q) / (polynomial(TAIL_D, q) * q + 1);
  }
  if (p > 1 - 0.02425) return -quantileStart(1 - p);
  const q = p - 0.5;
  const r = q * q;
  return (polynomial(CENTRAL_A, r) * q) / (polynomial(CENTRAL_B, r) * r + 1);
}

/**
 * The z with P(Z ≤ z) = p, for 0 < p < 1; absolute error below 1e-12 (one Halley step on the start value).
 * Throws RangeError outside (0, 1). Example: normalQuantile(0.975) → 1.959963984540054
 */
export function normalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError('normalQuantile: p must lie between 0 and 1');
  const start = quantileStart(p);
  const step = (normalCdf(start) - p) / normalDensity(start);
  return start - step / (1 + (start * step) / 2);
}
