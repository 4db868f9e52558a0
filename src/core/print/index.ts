export { type CouponAsk, weighCoupon } from './coupon';
export { chanceOfPlate, copiesFromLog, copiesToStart } from './copies';
export { coolingTau, excessAfter, secondsToCool } from './cooling';
export { type Day, type DayJob, type DayStep, type PlacedStep, type Worth } from './day';
export {
  ASSUMED_LAYER_S,
  checkProgram,
  exposureOf,
  finishOf,
  layerClock,
  type LayerProgram,
  layerSeconds,
  learnRatio,
  type Move,
  type PlainProgram,
  plainProgram,
  plannedSeconds,
  type ProgramIssue,
  type TimedPrint,
} from './layer-times';
export {
  type DayIssue,
  type DayPlan,
  dispatchRules,
  findDayIssue,
  planDay,
  type PlanOptions,
} from './plan-day';
export {
  fillBefore,
  type FillLevel,
  layerUses,
  learnSupportShare,
  outlookOf,
  type PlateAreas,
  planResin,
  type ResinPlan,
  shareAt,
  type SupportShare,
  type TopUp,
  type Vat,
  type VatLevelAt,
  type VatOutlook,
  type Weighing,
} from './resin-use';
export { type RunPlan, type SettingChange, settingChanges, type Settings } from './run-plan';
export { findVatIssue, USUAL_DENSITY, type VatIssue, vatLevelMl, type VatReading } from './vat-level';
export {
  findPlaceIssues,
  type Footprint,
  halfSides,
  type LyingPiece,
  type PackedPlate,
  packPlate,
  type PlacedCopy,
  type PlaceIssue,
  type PlateRoom,
} from './pack-plate';
export {
  earlyLookLayer,
  type Heard,
  type RunEvent,
  type RunningPrint,
  type Standing,
  type TimedEvent,
  whereItIs,
} from './where-it-is';
export { latestStart } from './latest-start';
export {
  cheaperFrom,
  compareWays,
  type Elsewhere,
  type Way,
  type WayAsk,
  type WayMachine,
  type WayOrientation,
  type WayRates,
} from './ways';
