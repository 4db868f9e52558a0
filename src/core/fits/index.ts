export { chainChance, sizeChain, type Chain, type ChainLink } from './chain';
export {
  FIT_CLASSES_AT_10MM,
  wishedClearance,
  WISHES,
  wishOfClearance,
  type ClearanceBand,
  type FitClasses,
  type Wish,
} from './classes';
export {
  assessFit,
  cannotHold,
  drawFit,
  RUINS,
  TIGHT_COST,
  type DrawnFit,
  type FitTarget,
  type Ruin,
} from './draw-fit';
export { facetErrorMm, sidesForTolerance } from './facets';
export {
  adviseFastening,
  bossWall,
  FASTENINGS,
  type Fastening,
  type FasteningAdvice,
  type FasteningNeed,
  type FasteningReason,
  type FasteningSize,
} from './fastening';
export { clearanceOf, targetForMate, type FitConditions, type FitLimits, type Mate } from './fit-target';
export { isoFit, standardTolerance_um, type IsoFit, type IsoFitIssue, type LimitDeviations } from './iso286';
export {
  GAP_DIRECTIONS,
  isFloppy,
  JOINT_KINDS,
  jointAtScale,
  leastSpacing,
  offsetForGap,
  printedGap,
  recommendedGap,
  scaleWindow,
  translateRungs,
  type GapDirection,
  type GapEstimate,
  type JointDesign,
  type JointKind,
  type JointState,
  type Ladders,
  type PlayLimit,
  type ScaleWindow,
} from './joint';
export {
  cameFree,
  chanceFree,
  estimateLadder,
  findLadderNote,
  gapForChance,
  RUNG_OUTCOMES,
  summariseLadder,
  WANTED_FREE,
  type Ladder,
  type LadderNote,
  type LadderSummary,
  type Rung,
  type RungOutcome,
} from './ladder';
export { MATERIAL_FACTS, MATERIALS, type Material, type MaterialFacts } from './materials';
export {
  allowedPressStrain,
  elongationForPress,
  assumedGripAfterYear,
  BRITTLE_BELOW,
  judgePress,
  pressFit,
  type PressFit,
  type PressResult,
  type PressVerdict,
  type Strength,
} from './press';
export {
  allowedSnapStrain,
  elongationForSnap,
  shortestHook,
  snapHook,
  type Snap,
  type SnapResult,
} from './snap';
export {
  BEARING_UNDER_MM,
  BEARINGS,
  DOWEL_PINS_MM,
  dowelPinMate,
  mateWithin,
  NUT_FLATS_UNDER_MM,
  NUTS,
  type Bearing,
  type Nut,
} from './standard-parts';
export { completeTaper, leadInFor, type LeadIn, type Taper, type TaperIssue } from './taper';
