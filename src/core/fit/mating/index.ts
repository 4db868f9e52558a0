export { type Chain, chainChance, type ChainLink, sizeChain } from './chain';
export {
  type ClearanceBand,
  FIT_CLASSES_AT_10MM,
  type FitClasses,
  type Wish,
  wishedClearance,
  WISHES,
  wishOfClearance,
} from './classes';
export { assessFit, cannotHold, drawFit, type DrawnFit, type FitTarget, type Ruin, RUINS } from './draw-fit';
export { facetErrorMm, sidesForTolerance } from './facets';
export {
  adviseFastening,
  bossWall,
  type Fastening,
  type FasteningReason,
  type FasteningSize,
} from './fastening';
export { clearanceOf, type FitConditions, type FitLimits, type Mate, targetForMate } from './fit-target';
export { isoFit, type IsoFitIssue, standardTolerance_um } from './iso286';
export {
  type GapDirection,
  isFloppy,
  JOINT_KINDS,
  jointAtScale,
  type JointDesign,
  type JointKind,
  type JointState,
  type GapTests,
  leastSpacing,
  offsetForGap,
  type PlayLimit,
  printedGap,
  recommendedGap,
  scaleWindow,
  type ScaleWindow,
  translateGapSteps,
} from './joint';
export {
  cameFree,
  chanceFree,
  estimateGapTest,
  findGapTestNote,
  gapForChance,
  type GapTest,
  type GapTestNote,
  type GapTestSummary,
  type GapStep,
  GAP_STEP_OUTCOMES,
  type GapStepOutcome,
  summariseGapTest,
  WANTED_FREE,
  JOINT_OUTCOMES,
  type JointOutcome,
} from './gap-test';
export { type Material, MATERIAL_FACTS, MATERIALS } from './materials';
export {
  allowedPressStrain,
  assumedGripAfterYear,
  BRITTLE_BELOW,
  elongationForPress,
  judgePress,
  pressFit,
  type PressVerdict,
} from './press';
export { dividingLayers, type SnapChoices, snapChoices } from './snap-choices';
export { allowedSnapStrain, elongationForSnap, shortestHook, snapHook } from './snap';
export {
  BEARING_UNDER_MM,
  BEARINGS,
  DOWEL_PINS_MM,
  dowelPinMate,
  mateWithin,
  NUT_FLATS_UNDER_MM,
  NUTS,
} from './standard-parts';
export { completeTaper, leadInFor, type Taper } from './taper';
