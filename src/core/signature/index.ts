export {
  assessDrawn,
  drawTarget,
  jointChance,
  predictMated,
  snapToLayers,
  type DrawnSize,
  type DrawOptions,
  type Target,
} from './draw';
export {
  estimateFromObservations,
  estimateSignature,
  type InstrumentBias,
  type ParameterEstimate,
  type Signature,
  type SignatureOptions,
} from './estimate';
export {
  driftRow,
  lawPrior,
  lawRow,
  PARAMETER_COUNT,
  PARAMETER_NAMES,
  PARAMETER_UNITS,
  type LawPrior,
  type LawPriorOptions,
  type ParameterName,
} from './law';
export { rankNextReadings, type ReadingCandidate, type ReadingGain } from './next-reading';
export { groupObservations, type Observation } from './observations';
export { predictCombination, type SizeTerm } from './combination';
export { predictSize, reachesBeyond, type SizeQuery } from './predict';
export { ONLY_INSTRUMENT, type Instruments, type SignatureReading } from './reading';
export { judgeStaleness, type Staleness } from './staleness';
export { leaveOneOut, type LeaveOneOutReport, type SuspiciousReading } from './suspicious';
export { FIT_WORDS, type FitWord, type Try } from './tries';
export { learnMeanings, sideOfWord, type WordMeaning, type WordOnSize } from './word-meanings';
export { reportSignature, type SignatureReport } from './report';
