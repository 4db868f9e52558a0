/** A small print first, or the part at once: chances that the part's print is right, and what each print costs. */
export interface CouponAsk {
  readonly before: number;
  readonly after: number;
  readonly partCost: number;
  readonly couponCost: number;
}

/** What a coupon saves on average of prints that come out wrong, and whether that is more than it costs. */
export function weighCoupon({ before, after, partCost, couponCost }: CouponAsk): {
  readonly saves: number;
  readonly isAdvised: boolean;
} {
  const saves = (after - before) * partCost;
  return { saves, isAdvised: saves > couponCost };
}
