export {
  type Clock,
  layerAtMinute,
  layerAtPlateHeight,
  layerOfPrinted,
  liftLayers,
  liftOf,
  momentOf,
} from './clock';
export {
  type Chance,
  CHANCES,
  type Finding,
  FINDING_CODES,
  listFindings,
  readingFor,
  type Risk,
  RISKS,
} from './findings';
export {
  CHECK_RULES,
  type CheckLimits,
  type CheckRules,
  fitsAnyhow,
  fitsRoom,
  fitStations,
  type Limit,
  limitsOf,
  type LimitSource,
  type Machine,
  type Room,
  type Rooms,
  type Stance,
  type Station,
  STATIONS,
} from './limits';
export {
  type Pose,
  posedMesh,
  type PoseName,
  type PoseWorth,
  rotationTo,
  searchPose,
  STUDIED_POSES,
  turnPoint,
  weighPose,
} from './orient';
export { leastScale, type ScaleWorth, STUDIED_SCALES, weighScale } from './scale';
