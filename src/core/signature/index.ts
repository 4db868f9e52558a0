export { chanceOfAllCopies } from './copies';
export { predictCombination, type SizeTerm } from './combination';
export {
  assessDrawn,
  assessMated,
  type DrawnSize,
  type DrawnTarget,
  type DrawOptions,
  drawTarget,
  jointChance,
  predictMated,
  snapToLayers,
  type Target,
} from './draw';
export {
  estimateSignature,
  type ParameterEstimate,
  type Signature,
  type SignatureOptions,
  type StateShift,
} from './estimate';
export {
  DRIFT_EDGE_SD_MM,
  DRIFT_SCALE_SD,
  driftRow,
  EDGE_SIGN,
  isLean,
  lawPrior,
  lawRow,
  type LawPrior,
  PARAMETER_NAMES,
  type ParameterName,
  type PlatePlace,
} from './law';
export {
  predictReading,
  rankNextReadings,
  rankSettlingReadings,
  type ReadingCandidate,
  type ReadingGain,
} from './next-reading';
export {
  attachSignature,
  type DetachedSignature,
  detachSignature,
  type Learned,
  learnSignature,
} from './learn';
export type { KeptGroups } from './gather-evidence';
export { groupObservations } from './observations';
export { predictSize, reachesBeyond, type SizeQuery } from './predict';
export { checkLaw, isSameLaw, isSoundLaw, type LawIssue, type StoredLaw } from './check-law';
export {
  checkShares,
  contradiction,
  DEFAULT_SHARES,
  type Kin,
  priorFromRelatedProfiles,
  type RelatedProfile,
  type ShareTable,
  weightOfRelatedProfiles,
} from './related-profiles';
export { type CheckReading, type Instruments, type SignatureReading } from './reading';
export { reportSignature, type SignatureReport, type SignatureSummary, summariseSignature } from './report';
export { foreseeChange } from './foresee-change';
export { foreseeCheck } from './foresee-check';
export { chooseReadings, foreseeReadings, type ForeseenReadings } from './foresee-readings';
export { convertState } from './convert-state';
export { type PrintRef, printToCome } from './columns';
export type { Change } from './frame';
export { judgeStaleness, type Staleness } from './staleness';
export { foretellSamePrint } from './same-print';
export { leaveOneOut } from './suspicious';
export { FIT_WORDS, type FitWord, type Try } from './tries';
export {
  CHANGE_KINDS,
  type ChangeKind,
  DEPTH_OF_LIGHT,
  EDGE_SLOPE,
  type LightKnown,
  type ProfileSettings,
  voidedBy,
} from './voided';
export {
  learnMeanings,
  meaningsWithout,
  sideOfWord,
  type WordMeaning,
  type WordOnSize,
} from './word-meanings';
