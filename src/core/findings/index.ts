export {
  CHANCES,
  FINDING_CODES,
  listFindings,
  printHours,
  RISKS,
  type Chance,
  type Finding,
  type FindingCode,
  type Risk,
} from './findings';
export {
  CHECK_RULES,
  fitsAnyhow,
  fitsRoom,
  limitsOf,
  STATIONS,
  type CheckLimits,
  type CheckRules,
  type Limit,
  type LimitSource,
  type Machine,
  type Room,
  type Rooms,
  type Stance,
  type Station,
} from './limits';
export {
  posedMesh,
  rotationTo,
  searchPose,
  STUDIED_POSES,
  turnPoint,
  weighPose,
  type Pose,
  type PoseName,
  type PoseWorth,
} from './orient';
export { leastScale, STUDIED_SCALES, weighScale, type ScaleWorth } from './scale';
