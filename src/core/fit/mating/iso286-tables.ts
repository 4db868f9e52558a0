/** Upper end of each size step, mm: a step runs over the previous end, up to and including its own. */
export const STEPS_UP_TO_MM = [3, 6, 10, 18, 30, 50, 80, 120, 180] as const;

/** Standard tolerances, µm, one a size step. Source: ISO 286-1:2010, table 1. */
export const STANDARD_TOLERANCES_UM = {
  5: [4, 5, 6, 8, 9, 11, 13, 15, 18],
  6: [6, 8, 9, 11, 13, 16, 19, 22, 25],
  7: [10, 12, 15, 18, 21, 25, 30, 35, 40],
  8: [14, 18, 22, 27, 33, 39, 46, 54, 63],
  9: [25, 30, 36, 43, 52, 62, 74, 87, 100],
  10: [40, 48, 58, 70, 84, 100, 120, 140, 160],
  11: [60, 75, 90, 110, 130, 160, 190, 220, 250],
  12: [100, 120, 150, 180, 210, 250, 300, 350, 400],
  13: [140, 180, 220, 270, 330, 390, 460, 540, 630],
} as const;
export type Grade = keyof typeof STANDARD_TOLERANCES_UM;

/** Upper limit deviation of clearance shafts, µm. Source: ISO 286-1:2010, table 4. */
export const SHAFT_UPPER_UM = {
  d: [-20, -30, -40, -50, -65, -80, -100, -120, -145],
  e: [-14, -20, -25, -32, -40, -50, -60, -72, -85],
  f: [-6, -10, -13, -16, -20, -25, -30, -36, -43],
  g: [-2, -4, -5, -6, -7, -9, -10, -12, -14],
  h: [0, 0, 0, 0, 0, 0, 0, 0, 0],
} as const;

/** Lower limit deviation of transition and interference shafts, µm; k for grades 4 to 7. Source: ISO 286-1:2010, table 5. */
export const SHAFT_LOWER_UM = {
  k: [0, 1, 1, 1, 2, 2, 2, 3, 3],
  m: [2, 4, 6, 7, 8, 9, 11, 13, 15],
  n: [4, 8, 10, 12, 15, 17, 20, 23, 27],
  p: [6, 12, 15, 18, 22, 26, 32, 37, 43],
} as const;
