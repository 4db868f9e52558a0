export {
  type Clock,
  layerAtMinute,
  layerAtPlateHeight,
  layerOfPrinted,
  liftLayers,
  liftOf,
  momentOf,
} from './clock';
export { cautionsOf, countCrevicesOf, evidenceOfFindings, FINDING_CODES, FINDINGS } from './definitions';
export { CHANCE_WORDS, CHANCES, RISK_WORDS, RISKS } from './finding';
export { describeFinding, type Finding, listFindings, readingFor } from './list-findings';
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
  type PrintSetup,
  type Station,
  STATION_WORDS,
  STATIONS,
} from './limits';
export {
  directionOf,
  directionOfSide,
  type Side,
  sideOfDirection,
  SIDES,
  type Orientation,
  type OrientationAim,
  posedMesh,
  type OrientationName,
  type OrientationWorth,
  rotationTo,
  searchOrientation,
  STUDIED_ORIENTATIONS,
  turnedKind,
  turnPoint,
  weighOrientation,
} from './orient';
export { leastScale, type ScaleWorth, STUDIED_SCALES, weighScale } from './scale';
