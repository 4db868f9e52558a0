/** Grid nodes that carry 99.9 % of the weight are enough for a chance given to two decimals. */
const WEIGHT_KEPT = 0.999;

/** Keeps nodes by falling weight until nearly all of it is reached. */
export function heaviestNodes(weights: Float64Array): number[] {
  const order = [...weights.keys()].sort((a, b) => weights[b] - weights[a]);
  let sum = 0;
  return order.filter((node) => {
    const wanted = sum < WEIGHT_KEPT;
    if (wanted) sum += weights[node];
    return wanted;
  });
}
