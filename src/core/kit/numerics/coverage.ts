/** Of a normal distribution, 95 % lie within this many standard deviations of the mean; as metrology rounds it. */
export const Z_95 = 1.96;
/** 90 % lie within this many, and 95 % below the upper one. */
export const Z_90 = 1.645;
/** 80 % lie within this many, and 90 % below the upper one. */
export const Z_80 = 1.2816;

/** Half the width of a 95 % interval. */
export const halfWidth95 = (sd: number): number => Z_95 * sd;
