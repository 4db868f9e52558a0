/** Longest size anybody prints, mm. */
export const LONGEST_MM = 2000;
